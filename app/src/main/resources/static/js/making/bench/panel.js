// The open veil and what its controls do to the effect.
import { pickColour } from "../../photo/stage/pick.js";
import { changed, doubled, newId, setAll, setTo, toFollow, underBrush } from "./effect.js";
import { openVeil } from "./open-veil.js";
import { askToKeep } from "./swatches.js";
import { withNumber } from "../../wear/veil/numbers.js";

/**
 * @param id of the veil
 * @param side that is shown first
 * @param given { blends, masks } as the page was made with
 * @param b the bench: { stage, painting, take(fn, label), veilOf(id), kindOf(veil), effect(), lift, drop, peek, close,
 *   undo(redo, edit), look(way), side() }
 */
export function veilPanel(id, side, given, b) {
  const { take, veilOf, peek } = b;
  const label = (what) => `${what} of ${veilOf(id).name}`;
  return openVeil(veilOf(id), b.kindOf(veilOf(id)), given.blends, given.masks, side, {
    change: (fields, what) => take((e) => changed(e, id, fields), label(what)),
    input: (key, value) => take((e) => setTo(e, id, key, value)),
    mask: (mask) => take((e) => changed(e, id, { mask })),
    setting: (key, value, what) => take((e) => setTo(e, id, key, value), label(what)),
    start: (values, what) => take((e) => setAll(e, id, values), `${what} in ${veilOf(id).name}`),
    pick: () => pickColour(b.stage),
    others: () => b.effect().veils.filter((v) => v.id !== id),
    toFollow: () => toFollow(b.effect(), id),
    copyMask: (from) => b.painting.copy(veilOf(from), id, (edit) => b.undo(false, edit)),
    blend: (mode) =>
      peek(mode && changed(b.effect(), id, { blend: mode }), mode && given.blends.find((m) => m.id === mode).label),
    look: b.look,
    dials: (dials, what) => take((e) => ({ ...e, dials }), what),
    tryDial: ({ veil, key }, value) =>
      peek(
        value === null ? null : changed(b.effect(), veil, withNumber(veilOf(veil), key, value)),
        value === null ? "" : "As the dial would make it",
      ),
    kindOf: b.kindOf,
    keep: () => askToKeep(document.querySelector("[data-keep-swatch]"), veilOf(id)),
    side: b.side,
    lift: () => b.lift(id),
    double() {
      const copy = newId();
      take((e) => doubled(e, id, copy), `double ${veilOf(id).name}`);
    },
    drop: () => b.drop(id),
    close: b.close,
    paint: (how) => {
      const { id: under } = underBrush(b.effect(), veilOf(id));
      const own = { off: "brushOff", middle: "allButTheMiddle" }[how];
      return own ? b.painting[own](under) : b.painting.all(under, how);
    },
  });
}
