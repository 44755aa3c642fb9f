// One table of keys per screen: what is listed under ? is what works.
import { keysList } from "./keys-list.js";
import { isTyping } from "./typing.js";

/**
 * @param table entries { keys: ["c"], says: "next compare view", run, up } ; run is called on press,
 *   up on release
 */
export function listen(table) {
  const byKey = new Map();
  for (const entry of table) for (const key of entry.keys) byKey.set(key, entry);
  document.addEventListener("keydown", (event) => {
    const name = nameOf(event);
    const entry = byKey.get(name);
    if (!entry || isTyping(event.target)) return;
    event.preventDefault();
    if (!event.repeat || entry.repeats) entry.run(event);
  });
  document.addEventListener("keyup", (event) => {
    byKey.get(event.key.toLowerCase())?.up?.(event);
  });
  keysList(table);
}

const nameOf = (event) => {
  const ctrl = event.ctrlKey || event.metaKey ? "ctrl+" : "";
  const shift = event.shiftKey && ctrl ? "shift+" : "";
  return ctrl + shift + event.key.toLowerCase();
};
