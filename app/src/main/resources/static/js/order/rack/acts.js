// What the buttons of a rack do.
import { send } from "../../base/web/http.js";
import { leaveTo } from "../../base/web/leaving.js";
import { sayFault } from "../../base/web/say.js";
import { effectOf, pickedWords } from "./rack-state.js";
import { seriesOf } from "./series.js";
import { chooseShown } from "./wall-choice.js";

const OPENED = ["section", "duplicate", "merge"];

/**
 * By name; those that end in “one” are for the effect that is shown beside the rack.
 * @param of { rack(), ids(): what acts are for, in order, shown(): the one beside, photo(), wall, acted, act,
 *   open: dialogs, mending, take, rename, none }
 */
export function rackActs({ rack, ids, shown, photo, wall, acted, open, mending, take, rename, none }) {
  const named = () => [ids(), pickedWords(rack(), new Set(ids()))];
  const isFavourite = (id) => effectOf(rack(), id).favourite;
  return {
    shown: () => chooseShown(wall, { rack, act: (path, body) => acted(path, body) }),
    ...Object.fromEntries(OPENED.map((name) => [name, () => open[name]()])),
    move: () => open.move(...named()),
    copy: () => open.copy(...named()),
    tag: () => open.tag(ids()),
    mark: () => open.mark(ids()),
    split: () => open.split(...named()),
    lite: () => open.lite(...named()),
    favour: () => acted("favour", { effects: ids(), on: ids().some((id) => !isFavourite(id)) }),
    remove: () => acted("remove", { effects: ids() }, true),
    none,
    "favour-one": () => acted("favour", { effects: [shown()], on: !isFavourite(shown()) }),
    "tag-one": () => open.tag([shown()]),
    "rename-one": () => rename(shown()),
    "variant-one": () =>
      send("POST", `/api/effects/${shown()}/variant`)
        .then(({ go }) => leaveTo(go))
        .catch(sayFault),
    "series-one": () => seriesOf(effectOf(rack(), shown()), { photo: photo(), made: take }).catch(sayFault),
    "update-one": () => mending.OLDER([shown()]),
    "let-go-one": () => acted("let-go", { effects: [shown()] }),
  };
}

/** What the buttons of a section do. @param open dialogs */
export const sectionActs = (acted, open) => ({
  fold: ({ id, folded }) => acted("sections/fold", { section: id, folded: !folded }),
  new: (section) => open.fresh(section),
  plan: (section) => open.plan(section),
  change: (section) => open.changeSection(section),
  remove: ({ id }) => acted("sections/remove", { section: id }, true),
});
