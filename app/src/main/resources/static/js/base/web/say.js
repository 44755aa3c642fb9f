// One line that says what happened, with buttons where something can be done about it.

const KEY = "said-after-reload";
const SHOWN_MS = 7000;
let timer;

/** @param what { fault, action, label } or { actions: [{ label, run }] } */
export function say(
  sentence,
  { fault = false, action, label = "Undo", actions = action ? [{ label, run: action }] : [] } = {},
) {
  if (!sentence) return;
  const shown = document.querySelector(".said");
  clearTimeout(timer);
  timer = setTimeout(sayNothing, fault ? SHOWN_MS * 2 : SHOWN_MS);
  if (actions.length === 0 && shown?.textContent === sentence) return; // told already
  shown?.remove();
  const line = document.createElement("div");
  line.className = fault ? "said is-fault" : "said";
  line.setAttribute("role", fault ? "alert" : "status");
  const words = document.createElement("span");
  words.textContent = sentence;
  line.append(words);
  line.append(...actions.map((act) => doing(act, line)));
  document.body.append(line);
}

/** The button of something that can be done; the line goes when it is pressed. */
function doing({ label, run }, line) {
  const button = Object.assign(document.createElement("button"), { type: "button", textContent: label });
  button.addEventListener("click", () => {
    line.remove();
    run();
  });
  return button;
}

/** Takes the line away, as when what it said no longer holds. */
export function sayNothing() {
  document.querySelector(".said")?.remove();
}

/** Says what went wrong, unless a line that offers to do something about it says so already. */
export function sayFault(error) {
  if (document.querySelector(".said.is-fault button")) return;
  say(error.message, { fault: true });
}

/**
 * Keeps a sentence for the page that is shown next.
 * @param undo { address, edit } of the edit that it names, where it can be taken back
 */
export function sayAfterReload(sentence, undo) {
  if (sentence) sessionStorage.setItem(KEY, JSON.stringify({ sentence, undo }));
}

/** @param takeBack told { address, edit } when its button is pressed */
export function sayWhatWasKept(takeBack) {
  const kept = JSON.parse(sessionStorage.getItem(KEY) ?? "null");
  sessionStorage.removeItem(KEY);
  if (kept) say(kept.sentence, { action: kept.undo && (() => takeBack(kept.undo)) });
}
