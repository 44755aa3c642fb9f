// What keys do on a rack; what is listed under ? is what works.
import { listen } from "../../base/web/keys.js";
import { isTyping } from "../../base/web/typing.js";

/**
 * @param on { lead(key, extend), open, more, none, pickUp, rename, remove, favour, tag, photo(by) }
 */
export function rackKeys(page, carrying, on) {
  const onPieces = { Enter: on.open, " ": on.more, x: on.pickUp, F2: on.rename, Delete: on.remove };
  page.querySelector("[data-sections]").addEventListener("keydown", (event) => {
    if (isTyping(event.target) || !event.target.closest("[data-effect]")) return;
    if (carrying.key(event)) return event.preventDefault();
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const name = event.key.length === 1 ? event.key.toLowerCase() : event.key;
    if (name.startsWith("Arrow") || name === "Home" || name === "End") on.lead(name, event.shiftKey);
    else if (onPieces[name]) onPieces[name]();
    else return;
    event.preventDefault();
  });
  listen([
    { keys: ["n"], says: "the next photo", run: () => on.photo(1) },
    { keys: ["b"], says: "the photo before", run: () => on.photo(-1) },
    { keys: ["i"], says: "favourite, or no longer", run: on.favour },
    { keys: ["h"], says: "tag what is picked", run: on.tag },
    { keys: ["j"], says: "find in all kits", run: () => page.querySelector(".rack-find input").focus() },
    { keys: ["escape"], shown: ["Esc"], says: "pick nothing", run: () => !carrying.isOn && on.none() },
    { keys: [], shown: ["Space"], says: "pick one more, or one less" },
    { keys: [], shown: ["Shift", "arrows"], says: "pick on the way" },
    { keys: [], shown: ["X"], says: "pick up; arrows carry, Enter puts down, Esc lets go" },
    { keys: [], shown: ["Enter"], says: "open at the bench" },
    { keys: [], shown: ["F2"], says: "rename" },
    { keys: [], shown: ["Delete"], says: "remove what is picked" },
  ]);
}
