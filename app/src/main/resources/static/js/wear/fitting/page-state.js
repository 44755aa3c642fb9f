// What the page of a fitting shows, beside the fitting itself: pure, every function gives a new state.
import { brushTarget } from "./wearing.js";

/**
 * @typedef State
 * { openKey: worn effect whose card is shown, or null, chosen: what the brush was taken to: id of a veil or
 *   of the whole, null to nothing, undefined to what waits for it, unfolded: the open effect shows its veils
 *   on the rail, trying: key of an effect that is looked at, or null, peeked: what else is looked at and not
 *   taken: { body, words }, or null }
 */

const last = (fitting) => fitting.worn.at(-1)?.effect ?? null;

/** The state that a page begins with, or goes on with on another photo. */
export const begun = (fitting, openKey = last(fitting)) => ({
  openKey,
  chosen: undefined,
  unfolded: false,
  trying: null,
  peeked: null,
});

/** Another effect is opened. */
export const opened = (state, openKey) => ({ ...state, openKey, chosen: undefined });

/** An effect is picked on the rail: opened, and picked again unfolded or folded. */
export const picked = (state, key) => ({ ...opened(state, key), unfolded: key === state.openKey && !state.unfolded });

/** The brush is taken to something, or laid down where it was taken to that already. */
export const brushedWith = (state, of, now) => ({ ...state, chosen: now?.of === of ? null : of });

/** An effect is looked at alone; null for none. */
export const tried = (state, key) => ({ ...state, trying: key });

/** Something else is looked at; null for what is worn. */
export const peekedAt = (state, body, words) => ({ ...state, peeked: body && { body, words } });

/** The state as it fits what is worn and known: what is open is worn, or else the last one is open. */
export function fitted(state, fitting, pieces) {
  const isWorn = fitting.worn.some((w) => w.effect === state.openKey);
  const own = isWorn ? state : { ...state, openKey: last(fitting), unfolded: false };
  return { ...own, unfolded: own.unfolded && pieces.has(own.openKey) };
}

/** What the brush paints; see brushTarget. */
export const brushed = (state, fitting, pieces) => brushTarget(fitting, pieces.get(state.openKey), state.chosen);

/** What a request for a picture asks for. @param stroke what it says of a stroke that is not stored yet */
export function request({ trying, peeked }, fitting, stroke) {
  if (trying) return { try: trying };
  return peeked ? peeked.body : { fitting, ...stroke };
}

/** What is looked at, in words; empty for what is there. @param names by key of the effect */
export function words({ trying, peeked }, names) {
  if (trying) return names.get(trying);
  return peeked ? peeked.words : "";
}
