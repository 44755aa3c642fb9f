// What the bench shows, beside the effect itself: pure, every function gives a new state.
import { underBrush } from "./effect.js";
import { looked } from "./looking.js";

/**
 * @typedef State
 * { openId: the open veil, or null, way: what of the effect is seen, by name, peeked: an effect that is looked
 *   at and not taken, or null }
 */

/** The state that the page begins with. */
export const begun = () => ({ openId: null, way: "all", peeked: null });

/** Another veil is opened, or none: all is seen. */
export const opened = (state, openId) => ({ ...state, openId, way: "all" });

/** Another way to look at the open veil; the same one again shows all. */
export const seen = (state, way) => (state.openId ? { ...state, way: way === state.way ? "all" : way } : state);

/** Another effect is looked at; null for the one that is there. */
export const peekedAt = (state, effect) => ({ ...state, peeked: effect });

export const veilOf = (effect, id) => effect.veils.find((v) => v.id === id);

/** The state as it fits an effect: a veil that is gone is no longer open. */
export const fitted = (state, effect) => (veilOf(effect, state.openId) ? state : { ...state, openId: null });

/** The veil that the brush paints: another one where the open one follows it; undefined where none is open. */
export const brushed = ({ openId }, effect) => underBrush(effect, veilOf(effect, openId));

/**
 * What a request for a picture asks for.
 * @param photo what the request says of the photo, and of the effect underneath: { photo: id, under? }
 * @param painted { stroke, veil } under the hand, or null
 */
export function request({ openId, way, peeked }, effect, photo, painted) {
  const body = { ...photo, ...(peeked ? { effect: peeked } : looked(effect, openId, way)) };
  return painted ? { ...body, stroke: painted.stroke, veil: painted.veil } : body;
}
