// A group of settings under its heading.

export function titled(name, ...content) {
  const made = document.createElement("section");
  made.className = "group";
  const heading = document.createElement("h3");
  heading.textContent = name;
  made.append(heading, ...content);
  return made;
}
