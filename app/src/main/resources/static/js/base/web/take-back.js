// Takes back or does again. Where something stands in the way, asks what to do about it and does that.
import { question } from "./question.js";

/**
 * @param run (query) → promise of the answer; query is “redo=false” and more
 * @param query what is wanted: { redo, edit? }
 * @returns promise of the answer, or null where it was left
 */
export async function takeBack(run, query) {
  const params = new URLSearchParams(Object.entries(query).map(([k, v]) => [k, String(v)]));
  for (;;) {
    try {
      return await run(params.toString());
    } catch (error) {
      if (!(error.offers?.length > 0)) throw error;
      const offers = [...error.offers].reverse(); // what is proposed first stands at the end
      const chosen = await question(
        error.message,
        offers.map((o) => o.label),
      );
      if (chosen < 0) return null;
      for (const [key, value] of new URLSearchParams(offers[chosen].query)) params.set(key, value);
    }
  }
}

/**
 * The same through a store.
 * @param address of undo, with what it needs besides
 */
export function takeBackIn(store, send, address, query) {
  const joined = (q) => `${address}${address.includes("?") ? "&" : "?"}${q}`;
  return takeBack(async (q) => {
    let refused = null;
    const answer = await store.ask(
      (name) => send("POST", joined(q), undefined, name),
      (error) => {
        refused = error;
        return error.offers?.length > 0;
      },
    );
    if (refused?.offers?.length > 0) throw refused;
    return answer;
  }, query);
}
