// Chooses the blend mode of a veil: pointing at a mode, or going to it with the arrow keys, shows it
// on the photo.

const ACROSS = 4;

/**
 * @param blends [{ id, label }]
 * @param on { peek(id | null): show the effect with that mode, choose(id) }
 * @returns { element, show(id) }
 */
export function blendChooser(blends, on) {
  const element = document.createElement("div");
  element.className = "blend-chooser";
  const opener = document.createElement("button");
  opener.type = "button";
  opener.className = "button small";
  opener.title = "Blend mode";
  opener.setAttribute("aria-haspopup", "true");
  opener.dataset.blend = "";
  const box = document.createElement("div");
  box.className = "blends";
  box.hidden = true;
  box.setAttribute("role", "menu");
  box.setAttribute("aria-label", "Blend mode");
  let now = "";
  const buttons = blends.map(({ id, label }) => {
    const made = document.createElement("button");
    made.type = "button";
    made.textContent = label;
    made.setAttribute("role", "menuitemradio");
    made.dataset.mode = id;
    for (const begin of ["pointerenter", "focus"]) made.addEventListener(begin, () => on.peek(id));
    made.addEventListener("click", () => {
      close();
      on.choose(id);
    });
    box.append(made);
    return made;
  });
  element.append(opener, box);

  function close() {
    if (box.hidden) return;
    const inside = box.contains(document.activeElement);
    box.hidden = true;
    opener.setAttribute("aria-expanded", "false");
    on.peek(null);
    if (inside) opener.focus();
  }

  opener.addEventListener("click", () => {
    if (!box.hidden) return close();
    box.hidden = false;
    opener.setAttribute("aria-expanded", "true");
    buttons.find((b) => b.dataset.mode === now)?.focus();
  });
  box.addEventListener("keydown", (event) => {
    const by = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: -ACROSS, ArrowDown: ACROSS }[event.key];
    if (event.key === "Escape") close();
    else if (by) buttons[(buttons.indexOf(document.activeElement) + by + buttons.length) % buttons.length].focus();
    else return;
    event.preventDefault();
    event.stopPropagation();
  });
  box.addEventListener("pointerleave", () => on.peek(null));
  document.addEventListener("pointerdown", (event) => !element.contains(event.target) && close());

  return {
    element,
    show(id) {
      now = id;
      opener.textContent = blends.find((b) => b.id === id).label;
      for (const b of buttons) b.setAttribute("aria-checked", String(b.dataset.mode === id));
    },
  };
}
