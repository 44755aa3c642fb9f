// Places that the maker left to the photographer: where a place is a dial, it is moved, turned and sized on
// the picture.
import { handlesIn, numberOf, numbersOf } from "../veil/numbers.js";
import { dialValue, reaches, veilState } from "./wearing.js";

/**
 * @param fitting as it is worn
 * @param piece the open effect, or undefined
 * @param kinds descriptors by id
 * @param sorts of rule
 * @param give(veil, values, rests, label) changes settings of a veil that are dials
 * @returns what Handles shows
 */
export function placesOf(fitting, piece, kinds, sorts, give) {
  if (!piece || fitting.worn.find((w) => w.effect === piece.key).lifted) return [];
  const down = piece.effect.veils.filter((veil) => !veilState(fitting, piece.key, veil).lifted);
  return down.flatMap((veil) => {
    const kind = kinds.get(veil.kind);
    const numbers = numbersOf(veil, kind, sorts);
    const settings = [...kind.settings.filter((s) => s.type !== "number"), ...numbers];
    const dials = piece.effect.dials.filter((d) => d.veil === veil.id && reaches(fitting, piece, d));
    const values = { ...Object.fromEntries(kind.settings.map((s) => [s.key, s.start])), ...veil.settings };
    for (const { key } of numbers) values[key] = numberOf(veil, key);
    for (const dial of dials) values[dial.key] = dialValue(fitting, piece, dial);
    return handlesIn(veil, kind, sorts)
      .map((handle) => left(handle, dials))
      .filter(Boolean)
      .map((handle) => ({
        handle: { ...handle, label: `${handle.label}, ${veil.name}` },
        settings,
        values,
        give: (next, rests) => give(veil, own(next, dials), rests, handle.label.toLowerCase()),
      }));
  });
}

/** What of a handle is left to the photographer; null for nothing. */
function left(handle, dials) {
  const is = (key) => dials.some((d) => d.key === key);
  const [angle, length] = [handle.angle, handle.length].map((key) => (is(key) ? key : ""));
  const held = !is(handle.x) && !is(handle.y);
  return held && !angle && !length ? null : { ...handle, angle, length, held };
}

const own = (values, dials) =>
  Object.fromEntries(Object.entries(values).filter(([key]) => dials.some((d) => d.key === key)));
