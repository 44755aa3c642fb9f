// A quiet button within something larger.

export function quietButton(text, run) {
  const made = document.createElement("button");
  made.type = "button";
  made.className = "button quiet small";
  made.textContent = text;
  made.addEventListener("click", run);
  return made;
}
