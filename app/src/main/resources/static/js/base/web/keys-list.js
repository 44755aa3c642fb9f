// The list of keys under ?, and under the button in the header.
import { isTyping } from "./typing.js";

/** @param table entries { keys, shown?, says } */
export function keysList(table) {
  const dialog = document.createElement("dialog");
  dialog.className = "dialog";
  dialog.dataset.keysDialog = "";
  dialog.setAttribute("aria-label", "Keys");
  const form = Object.assign(document.createElement("form"), { method: "dialog" });
  const list = document.createElement("dl");
  list.className = "figures";
  list.dataset.keys = "";
  for (const entry of [...table, { keys: ["?"], says: "this list" }]) {
    const keys = document.createElement("dd");
    for (const key of entry.shown ?? entry.keys) {
      const cap = document.createElement("kbd");
      cap.textContent = key.length === 1 ? key.toUpperCase() : key;
      keys.append(cap, " ");
    }
    list.append(Object.assign(document.createElement("dt"), { textContent: entry.says }), keys);
  }
  const ends = document.createElement("div");
  ends.className = "ends";
  ends.append(Object.assign(document.createElement("button"), { className: "button", textContent: "Close" }));
  form.append(Object.assign(document.createElement("h2"), { textContent: "Keys" }), list, ends);
  dialog.append(form);
  document.body.append(dialog);
  document.addEventListener("keydown", (event) => event.key === "?" && !isTyping(event.target) && dialog.showModal());
  document.querySelector("[data-keys-open]")?.addEventListener("click", () => dialog.showModal());
}
