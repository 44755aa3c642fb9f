// A question with a few answers, asked in a dialog made for it.

/**
 * @param sentence what is asked
 * @param labels of the answers; the last one is what is proposed
 * @returns promise of the place of the answer, or −1 where it was put away
 */
export function question(sentence, labels) {
  const dialog = document.createElement("dialog");
  dialog.className = "dialog";
  dialog.dataset.asks = "";
  const form = document.createElement("form");
  form.method = "dialog";
  const words = document.createElement("p");
  words.textContent = sentence;
  words.id = "question";
  dialog.setAttribute("aria-labelledby", "question");
  const ends = document.createElement("div");
  ends.className = "ends";
  const button = (label, value, classes) => {
    const made = Object.assign(document.createElement("button"), { textContent: label, value, className: classes });
    ends.append(made);
    return made;
  };
  button("Leave it", "-1", "button");
  const answers = labels.map((label, i) =>
    button(label, String(i), i === labels.length - 1 ? "button primary" : "button"),
  );
  form.append(words, ends);
  dialog.append(form);
  document.body.append(dialog);
  dialog.showModal();
  answers.at(-1)?.focus();
  return new Promise((resolve) => {
    dialog.addEventListener("close", () => {
      dialog.remove();
      resolve(Number(dialog.returnValue || -1));
    });
  });
}
