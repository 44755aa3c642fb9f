// Kits, or collections, that are worn together: another one is taken to the fitting's own, or put away. What
// is offered changes with that, so the page is made anew.
import { leaveTo, reload } from "../../base/web/leaving.js";
import { send } from "../../base/web/http.js";
import { say, sayAfterReload } from "../../base/web/say.js";

const EACH = 10_000; // sections of the one that is worn over another count from here

const names = (all) => all.map((one) => one.wardrobe).join(" ");

/** Whether a state offers other kits than the page was made with. */
const differsFrom = (state, now) => names(now.together) !== names(state.together);

/**
 * Says what the photo wears now, with its undo; where the page is made anew for it, the next one says so.
 * @param answer { id, together, undo } the fitting as it is stored
 * @param more what else can be done about it: [{ label, run }]
 */
export function sayWorn(sentence, state, answer, undo, more = []) {
  const { edit } = answer.undo;
  if (differsFrom(state, answer)) sayAfterReload(sentence, { address: `/api/fittings/${answer.id}/undo`, edit });
  else say(sentence, { actions: [{ label: "Undo", run: () => undo(false, edit) }, ...more] });
}

/**
 * @param root element with the buttons
 * @param state { wardrobe, together: [{ wardrobe, title }] } as the page was made with
 * @param store of the fitting
 * @param api its address
 */
export function wornTogether(root, state, store, api) {
  async function ask(path, wardrobe) {
    const answer = await store.ask((name, on, at) => send("POST", `${at}/${path}`, { wardrobe }, name));
    if (answer) sayAfterReload(answer.said, { address: `${api}/undo`, edit: answer.undo.edit });
  }
  for (const button of root.querySelectorAll("[data-together]"))
    button.addEventListener("click", () => ask("together", button.dataset.together));
  for (const button of root.querySelectorAll("[data-put-away]"))
    button.addEventListener("click", () => ask("put-away", button.dataset.putAway));

  const differs = (now) => differsFrom(state, now);
  return {
    /** Makes the page anew where a state offers other kits; whether it does. */
    renewed(now) {
      if (differs(now)) reload();
      return differs(now);
    },
    /** Goes to another photo's page where that photo wears of other kits; whether it does. */
    left(next, address) {
      if (differs(next)) leaveTo(address);
      return differs(next);
    },
    /** How an effect of a kit is named here, and its section; null where the kit is not worn. */
    placeOf(kit, effect, number) {
      const wardrobe = `kit:${kit}`;
      if (wardrobe === state.wardrobe) return { key: String(effect), number };
      const at = state.together.findIndex((one) => one.wardrobe === wardrobe);
      return at < 0 ? null : { key: `${wardrobe}#${effect}`, number: EACH * (at + 1) + number };
    },
  };
}

/** Id of the effect that a key names on the maker's side. */
export const effectOf = (key) => Number(key.replace(/^.*#/, ""));
