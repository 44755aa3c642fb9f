// What every page can do: forms and buttons that send, dialogs, menus, undo by keys.
import { send } from "./http.js";
import { say, sayAfterReload, sayFault, sayWhatWasKept } from "./say.js";

/** The fields of a form as JSON; fields marked data-list give a list. */
export function values(form) {
  const out = {};
  for (const field of form.elements) {
    if (!field.name || field.disabled) continue;
    if ("list" in field.dataset) {
      out[field.name] ??= [];
      if (field.checked) out[field.name].push(field.value);
    } else out[field.name] = field.value;
  }
  return out;
}

async function run(element, body) {
  const [method, address] = element.dataset.send.split(" ");
  const answer = await send(method, address, body);
  sayAfterReload(answer.said);
  if (answer.go) location.assign(answer.go);
  else location.reload();
}

async function submit(event) {
  const form = event.target;
  if (!form.dataset.send) return;
  event.preventDefault();
  const button = form.querySelector("button:not([type=button])");
  const fault = form.querySelector(".fault");
  fault.hidden = true;
  button.disabled = true;
  try {
    await run(form, values(form));
  } catch (error) {
    fault.textContent = error.message;
    fault.hidden = false;
    button.disabled = false;
  }
}

async function click(event) {
  const button = event.target.closest("button");
  if (!button) return;
  if (button.dataset.opens) document.getElementById(button.dataset.opens).showModal();
  if ("closes" in button.dataset) button.closest("dialog").close();
  if (button.dataset.send && button.type === "button") {
    button.disabled = true;
    try {
      await run(button);
    } catch (error) {
      sayFault(error);
      button.disabled = false;
    }
  }
}

export const isTyping = (target) =>
  target.closest?.("input:not([type=range]):not([type=checkbox]), textarea, select, dialog[open]") !== null;

function undoKeys(event) {
  const address = document.body.dataset.undo;
  if (!address || isTyping(event.target)) return;
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z") {
    event.preventDefault();
    const button = document.querySelector(event.shiftKey ? "[data-redo-button]" : "[data-undo-button]");
    if (button.disabled) say(event.shiftKey ? "Nothing to do again." : "Nothing to take back.");
    else button.click();
  }
}

function closeMenus(event) {
  for (const menu of document.querySelectorAll("details.menu[open]")) {
    if (!menu.contains(event.target) || event.target.closest(".menu > div")) menu.open = false;
  }
}

document.addEventListener("submit", submit);
document.addEventListener("click", click);
document.addEventListener("click", closeMenus);
document.addEventListener("keydown", undoKeys);
document.addEventListener("change", (event) => {
  if ("go" in event.target.dataset) location.assign(event.target.value);
});
sayWhatWasKept();
