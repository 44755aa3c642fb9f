// What every page can do: forms and buttons that send, dialogs, menus, undo by keys.
import { keepFocus } from "./focus.js";
import { send } from "./http.js";
import { fetchResult, follow, howFar } from "./jobs.js";
import { showJobs } from "./jobs-sign.js";
import { leaveTo, reload, settled } from "./leaving.js";
import { say, sayAfterReload, sayFault, sayWhatWasKept } from "./say.js";
import { takeBack } from "./take-back.js";
import { isTyping } from "./typing.js";
import { keysList } from "./keys-list.js";

/** Keys of a page that has none of its own. */
const EVERYWHERE = [
  { keys: ["Ctrl", "Z"], says: "take the last change back" },
  { keys: ["Ctrl", "Shift", "Z"], says: "do it again" },
  { keys: ["Esc"], says: "close a menu or a dialog" },
];

/** The fields of a form as JSON; fields marked data-list give a list of numbers. */
export function values(form) {
  const out = {};
  for (const field of form.elements) {
    if (!field.name || field.disabled) continue;
    if ("list" in field.dataset) {
      out[field.name] ??= [];
      if (field.checked) out[field.name].push(Number(field.value));
    } else out[field.name] = field.value;
  }
  return out;
}

function show(answer) {
  sayAfterReload(answer.said, answer.undone);
  if (answer.go) leaveTo(answer.go);
  else reload();
}

async function run(element, body) {
  const [method, address] = element.dataset.send.split(" ");
  await settled();
  const [path, query = ""] = address.split("?");
  const answer = await takeBack(
    (q) => send(method, q ? `${path}?${q}` : path, body),
    Object.fromEntries(new URLSearchParams(query)),
  );
  if (answer?.job) await watch(element, answer.job);
  else if (answer) show(answer);
  return answer;
}

/** Long work: the button says how far it is, and what came of it is said when it is done. */
async function watch(button, job) {
  const label = button.textContent;
  const ended = await follow(job, (now) => (button.textContent = now.open ? howFar(now) : label));
  if (ended.state === "done") {
    if (ended.result) fetchResult(ended);
    show({ said: ended.said });
  } else {
    say([ended.said, ...ended.faults].filter(Boolean).join(" "), { fault: true });
    button.disabled = false;
  }
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
    if (!(await run(form, values(form)))) button.disabled = false;
  } catch (error) {
    fault.textContent = error.message;
    fault.hidden = false;
    button.disabled = false;
  }
}

/** Opens a dialog; one that serves many things is filled with what the button says of its own. */
function open(dialog, { fills, ...fields }) {
  const form = dialog.querySelector("form");
  if (fills) {
    form.dataset.send = fills;
    form.querySelector(".fault").hidden = true;
    for (const [name, value] of Object.entries(fields)) if (form.elements[name]) form.elements[name].value = value;
  }
  dialog.showModal();
}

async function click(event) {
  const button = event.target.closest("button");
  if (!button) return;
  if (button.dataset.opens) open(document.getElementById(button.dataset.opens), button.dataset);
  if ("closes" in button.dataset) button.closest("dialog").close();
  if (button.dataset.send && button.type === "button") {
    button.disabled = true;
    try {
      if (!(await run(button))) button.disabled = false;
    } catch (error) {
      sayFault(error);
      button.disabled = false;
    }
  }
}

function undoKeys(event) {
  const address = document.body.dataset.undo;
  if (!address || isTyping(event.target)) return;
  if ((event.ctrlKey || event.metaKey) && event.key.toLowerCase() === "z") {
    event.preventDefault();
    const buttons = [...document.querySelectorAll(event.shiftKey ? "[data-redo-button]" : "[data-undo-button]")];
    const button = buttons.find((b) => !b.disabled);
    if (!button) say(event.shiftKey ? "Nothing to do again." : "Nothing to take back.");
    else button.click();
  }
}

function closeMenus(event) {
  for (const menu of document.querySelectorAll("details.menu[open]")) {
    if (!menu.contains(event.target) || (event.target.closest(".menu > div") && !event.target.closest("label")))
      menu.open = false;
  }
}

/** Escape closes an open menu and gives the focus back to what opened it. */
function escapeMenu(event) {
  const menu = event.key === "Escape" && document.querySelector("details.menu[open]");
  if (!menu) return;
  event.stopPropagation();
  menu.open = false;
  menu.querySelector("summary").focus();
}

/** The “Undo” of a sentence takes back the very edit that the sentence names. */
async function takeBackNamed({ address, edit }) {
  try {
    const answer = await takeBack((q) => send("POST", `${address}?${q}`), { redo: false, edit });
    if (answer) show(answer);
  } catch (error) {
    sayFault(error);
  }
}

document.addEventListener("submit", submit);
document.addEventListener("click", click);
document.addEventListener("click", closeMenus);
document.addEventListener("keydown", undoKeys);
document.addEventListener("keydown", escapeMenu, true);
addEventListener("load", () => document.querySelector("[data-keys-dialog]") ?? keysList(EVERYWHERE));
document.addEventListener("change", (event) => {
  if ("go" in event.target.dataset) leaveTo(event.target.value);
});
sayWhatWasKept(takeBackNamed);
keepFocus();
for (const sign of document.querySelectorAll("[data-jobs-sign]")) showJobs(sign);
