// Parts of a column of which one is shown at a time: buttons [data-beside] and parts [data-beside-part].

export function partsOf(root) {
  const buttons = [...root.querySelectorAll("[data-beside]")];
  for (const button of buttons) {
    button.addEventListener("click", () => {
      for (const other of buttons) other.setAttribute("aria-pressed", String(other === button));
      for (const part of root.querySelectorAll("[data-beside-part]"))
        part.hidden = part.dataset.besidePart !== button.dataset.beside;
    });
  }
}
