// One table of keys per screen: what is listed under ? is what works.
import { isTyping } from "./page.js";

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
  showUnderQuestionMark(table);
}

const nameOf = (event) => {
  const ctrl = event.ctrlKey || event.metaKey ? "ctrl+" : "";
  const shift = event.shiftKey && ctrl ? "shift+" : "";
  return ctrl + shift + event.key.toLowerCase();
};

function showUnderQuestionMark(table) {
  const dialog = document.querySelector("[data-keys-dialog]");
  const list = dialog.querySelector("[data-keys]");
  for (const entry of [...table, { keys: ["?"], says: "this list" }]) {
    const says = document.createElement("dt");
    says.textContent = entry.says;
    const keys = document.createElement("dd");
    for (const key of entry.shown ?? entry.keys) {
      const cap = document.createElement("kbd");
      cap.textContent = key.length === 1 ? key.toUpperCase() : key;
      keys.append(cap, " ");
    }
    list.append(says, keys);
  }
  document.addEventListener("keydown", (event) => {
    if (event.key === "?" && !isTyping(event.target)) dialog.showModal();
  });
}
