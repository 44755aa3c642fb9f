// What the hand changes of what is worn, each with the words that undo has for it. While the hand moves
// nothing is stored.
import { changed, dialled, masked, veilChanged } from "./wearing.js";

/**
 * @param take (fn of a fitting, label; none while the hand moves)
 * @param now { key(): of the open effect, worn(): it, as it is worn, piece(): it, brushed() }
 * @param names by key of the effect
 */
export function edits(take, now, names) {
  return {
    opacity(opacity, rests) {
      const key = now.key();
      take((f) => changed(f, key, { opacity }), rests && `opacity of ${names.get(key)}`);
    },
    lift() {
      const { lifted, effect: key } = now.worn() ?? {};
      if (key) take((f) => changed(f, key, { lifted: !lifted }), `${lifted ? "let down" : "lift"} ${names.get(key)}`);
    },
    veil(veil, fields, rests) {
      const what =
        "doubled" in fields
          ? fields.doubled
            ? "double"
            : "hang once"
          : "lifted" in fields
            ? fields.lifted
              ? "lift"
              : "let down"
            : "opacity of";
      const key = now.key();
      take((f) => veilChanged(f, key, veil, fields), rests && `${what} ${veil.name}`);
    },
    dial(dial, value, rests) {
      const piece = now.piece();
      take((f) => dialled(f, piece, dial, value), rests && `dial “${dial.label}”`);
    },
    /** Moves a place that the maker made a dial of. @param values by key of the settings of a veil */
    place(veil, values, rests, label) {
      const piece = now.piece();
      const dials = piece.effect.dials.filter((d) => d.veil === veil.id && d.key in values);
      take(
        (f) => dials.reduce((next, dial) => dialled(next, piece, dial, values[dial.key]), f),
        rests && `move the ${label}`,
      );
    },
    mask(mask, label) {
      const { of, name } = now.brushed();
      const key = now.key();
      take((f) => masked(f, key, of, mask), label && `${label}, ${name}`);
    },
  };
}
