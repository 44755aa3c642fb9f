// One line that says what happened, with a button where something can be done about it.

const KEY = "said-after-reload";
const SHOWN_MS = 7000;
let timer;

export function say(sentence, { fault = false, action, label = "Undo" } = {}) {
  if (!sentence) return;
  document.querySelector(".said")?.remove();
  const line = document.createElement("div");
  line.className = fault ? "said is-fault" : "said";
  line.setAttribute("role", fault ? "alert" : "status");
  const words = document.createElement("span");
  words.textContent = sentence;
  line.append(words);
  if (action) {
    const button = document.createElement("button");
    button.type = "button";
    button.textContent = label;
    button.addEventListener("click", () => {
      line.remove();
      action();
    });
    line.append(button);
  }
  document.body.append(line);
  clearTimeout(timer);
  timer = setTimeout(() => line.remove(), fault ? SHOWN_MS * 2 : SHOWN_MS);
}

export const sayFault = (error) => say(error.message, { fault: true });

/** Keeps a sentence for the page that is shown next. */
export function sayAfterReload(sentence) {
  if (sentence) sessionStorage.setItem(KEY, sentence);
}

export function sayWhatWasKept() {
  const kept = sessionStorage.getItem(KEY);
  sessionStorage.removeItem(KEY);
  say(kept);
}
