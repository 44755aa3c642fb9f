// The page of a kit: a rack. What is done is sent and answered with the whole rack; the page is never
// loaded anew for it.
import { picked } from "../../base/web/picked.js";
import { showUndo } from "../../base/web/saved-line.js";
import { say, sayFault } from "../../base/web/say.js";
import { leaveTo } from "../../base/web/leaving.js";
import { rackActs, sectionActs } from "./acts.js";
import { Beside } from "./beside.js";
import { Carrying } from "./carrying.js";
import { listenClicks } from "./clicks.js";
import { dialogs } from "./dialogs.js";
import { Dragging } from "./dragging.js";
import { Health } from "./health.js";
import { inLine } from "./in-line.js";
import { mends, removedSwatch } from "./mending.js";
import { besides } from "./moves.js";
import { clickedTo, ledTo, showTools, takeOverUndo } from "./tools.js";
import { effectOf, hanging, inSight, left, nearest, pickedWords, put, sectionPut } from "./rack-state.js";
import { rackKeys } from "./rack-keys.js";
import { pointing } from "./pointing.js";
import { Rails } from "./rails.js";
import { renamedOn } from "./renaming.js";
import { Side } from "./side.js";

const page = document.querySelector("[data-rack]");
const data = JSON.parse(page.dataset.state);
const kit = data.kit.id;
const find = (name) => page.querySelector(`[data-${name}]`);
const own = `rack-${kit}`; // what this browser remembers of the page

let rack = data;
const kept = JSON.parse(localStorage.getItem(own) ?? "{}");
const look = { photo: kept.photo, picked: new Set(), active: 0, size: localStorage.getItem("rack-size") ?? "medium" };
let pointed = 0;
const shownId = () => pointed || look.active;

const rails = new Rails(
  find("sections"),
  Object.fromEntries(data.rules.map((r) => [r.id, r.label])),
  Object.fromEntries(data.marks.map((m) => [m.id, m])),
);
const beside = new Beside(find("beside"), { kit });
const side = new Side(page, data.others);
const health = new Health(find("health"), {
  kit,
  photos: () => rack.photos.map((p) => p.id),
  pick: (ids) => {
    pick(new Set(ids), ids[0]);
    rails.focus(ids[0]);
  },
  mend: (ill, ids) => mending[ill](ids),
  section: (id) => acted("sections/remove", { section: id }, true),
  swatch: (swatch) => removedSwatch(swatch, kit).then(take, sayFault),
  dial: (dial) => acted("dial-off", dial),
});

function photo() {
  return rack.photos.some((p) => p.id === look.photo) ? look.photo : rack.cover || rack.photos[0]?.id || 0;
}

function draw(shown = rack) {
  const now = { ...look, photo: photo() };
  rails.show(shown, now);
  side.show(rack, now.photo);
  showBeside();
  health.show(rack);
  showTools(page, look);
  find("none").hidden = rack.sections.length > 0;
}

const showBeside = () => beside.show(rack, { ...look, photo: photo() }, shownId());

function take(state) {
  rack = { ...rack, ...state };
  look.picked = left(rack, look.picked);
  if (!effectOf(rack, look.active)) look.active = nearest(rack, look.place) ?? 0;
  showUndo(rack);
  draw();
  if (state.said) say(state.said, state.undone && { action: () => undo(false, state.edit) });
}

const { act, acted, lookAgain, undo } = inLine(`/api/rack/${kit}`, { take, draw });

const open = dialogs({ act, rack: () => rack, data, kit });

function pick(next, active = look.active) {
  look.picked = next;
  look.active = active;
  look.place = hanging(rack).indexOf(active);
  draw();
}

/** What acts are for: all that is picked, or the one that has the focus. */
const them = () => (look.picked.size > 0 ? look.picked : new Set(look.active ? [look.active] : []));
const list = (ids) => hanging(rack).filter((id) => ids.has(id));

function place(ids, section, before) {
  rack = put(rack, ids, section, before);
  draw();
  acted("move", { effects: list(ids), section, ...(before !== null && { before }) });
}

const carrying = new Carrying({
  show: (shown) => {
    rails.show(shown, { ...look, photo: photo() });
    rails.focus(look.active);
  },
  told: (words) => (find("told").textContent = words),
  words: (ids) => pickedWords(rack, ids),
  place: (ids, section, before) => {
    place(ids, section, before);
    rails.focus(look.active);
  },
});

new Dragging(page, find("rails"), rails, {
  begin(id) {
    if (!look.picked.has(id)) pick(new Set([id]), id);
    return look.picked;
  },
  drop: place,
  away: (ids, section) => acted("move", { effects: list(ids), section }, true),
  box: (ids, add) => pick(new Set([...(add ? look.picked : []), ...ids]), ids[0] ?? look.active),
  section(id, before) {
    rack = sectionPut(rack, id, before);
    draw();
    acted("sections/place", { section: id, ...(before !== null && { before }) });
  },
});

const toBench = (id) => leaveTo(`/bench/${id}${photo() ? `?photo=${photo()}` : ""}`);

const sections = sectionActs(acted, open);

const rename = (id) => renamedOn(rails, effectOf(rack, id), (name) => act("rename", { effect: id, name }));

const mending = mends({ kit, open, toBench, rename, act, effect: (id) => effectOf(rack, id), photo });

const ACTS = rackActs({
  ...{ photo, acted, open, mending, take, rename, wall: data.wall },
  rack: () => rack,
  ids: () => list(them()),
  shown: shownId,
  none: () => pick(new Set()),
});

listenClicks(page, find("sections"), {
  act: (name) => ACTS[name](),
  size: resize,
  photo: (id) => turn(Number(id)),
  untag: (tag) => acted("tag", { effects: [shownId()], tag, on: false }),
  section: (what, id) => sections[what](rack.sections.find((s) => s.id === id)),
  piece: clicked,
  opened: toBench,
  ground: () => look.picked.size > 0 && pick(new Set()),
});

function clicked(event, id) {
  pick(clickedTo(look, inSight(rack), event, id), id);
  rails.focus(id);
}

pointing(
  page,
  () => pointed,
  (next) => {
    pointed = next;
    showBeside();
  },
);

find("sections").addEventListener("focusin", ({ target }) => {
  const id = Number(target.closest("[data-effect]")?.dataset.effect ?? look.active);
  if (id !== look.active) pick(look.picked, id);
});

function resize(size) {
  localStorage.setItem("rack-size", (look.size = size));
  draw();
}

function turn(id) {
  look.photo = id;
  localStorage.setItem(own, JSON.stringify({ photo: id }));
  draw();
}

function nextPhoto(by) {
  const at = rack.photos.findIndex((p) => p.id === photo());
  if (rack.photos.length > 0) turn(rack.photos.at((at + by) % rack.photos.length).id);
}

rackKeys(page, carrying, {
  lead: (key, extend) => {
    const next = besides(rails.all(), look.active, key);
    if (!next) return;
    pick(ledTo(look, next, extend), next);
    rails.focus(next);
  },
  open: () => toBench(look.active),
  more: () => pick(picked(look.picked, inSight(rack), look.active, { ctrl: true })),
  none: () => pick(new Set()),
  pickUp: () => carrying.pickUp(rack, them()),
  rename: () => rename(look.active),
  remove: ACTS.remove,
  favour: () => them().size > 0 && ACTS.favour(),
  tag: () => them().size > 0 && ACTS.tag(),
  photo: nextPhoto,
});

takeOverUndo(undo);
addEventListener("pageshow", (event) => event.persisted && lookAgain());
addEventListener("blur", () => carrying.isOn && carrying.letGo());
Object.assign(look, { active: hanging(rack)[0] ?? 0, place: 0 });
showUndo(rack);
draw();
page.dataset.ready = "";
