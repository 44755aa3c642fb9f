// Places that the maker left to the photographer: where a place is a dial, it is moved, turned and sized on
// the picture.
import { dialValue, veilState } from "./wearing.js";

/**
 * @param fitting as it is worn
 * @param piece the open effect, or undefined
 * @param kinds descriptors by id
 * @param give(veil, values, rests, label) changes settings of a veil that are dials
 * @returns what Handles shows
 */
export function placesOf(fitting, piece, kinds, give) {
  if (!piece || fitting.worn.find((w) => w.effect === piece.key).lifted) return [];
  const down = piece.effect.veils.filter((veil) => !veilState(fitting, piece.key, veil).lifted);
  return down.flatMap((veil) => {
    const { handles, settings } = kinds.get(veil.kind);
    const dials = piece.effect.dials.filter((d) => d.veil === veil.id);
    const values = { ...Object.fromEntries(settings.map((s) => [s.key, s.start])), ...veil.settings };
    for (const dial of dials) values[dial.key] = dialValue(fitting, piece, dial);
    return handles.map((handle) => left(handle, dials)).filter(Boolean).map((handle) => ({
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

const own = (values, dials) => Object.fromEntries(Object.entries(values).filter(([key]) => dials.some((d) => d.key === key)));
