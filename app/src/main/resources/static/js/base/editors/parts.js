// Many settings, shown one part at a time: the parts stand at the side, and tell whether they do anything.

/** The part that a group of settings belongs to: what stands before a comma. */
export const partOf = (group) => group.split(",")[0];

/**
 * @param names of the parts
 * @param show called with the name of the part that is looked at
 * @returns { element, mark(name, moved) }
 */
export function parts(names, show) {
  const element = document.createElement("div");
  element.className = "parts";
  element.setAttribute("role", "group");
  element.setAttribute("aria-label", "Parts");
  const buttons = new Map(
    names.map((name) => {
      const button = document.createElement("button");
      button.type = "button";
      button.textContent = name;
      button.addEventListener("click", () => look(name));
      element.append(button);
      return [name, button];
    }),
  );

  function look(name) {
    for (const [own, button] of buttons) button.setAttribute("aria-pressed", String(own === name));
    show(name);
  }

  return { element, look, mark: (name, moved) => buttons.get(name).classList.toggle("is-moved", moved) };
}
