// The column beside the photo: the open veil, or the readings; one press goes from one to the other.

/**
 * @param root element of the column
 * @returns { show(panel): the open veil or null, toggle(), readings() }
 */
export function beside(root) {
  const tabs = root.querySelector("[data-beside-tabs]");
  const host = root.querySelector("[data-shown=veil]");
  let side = "veil";
  let panel = null;

  function look(next) {
    side = next;
    const shown = panel ? side : "readings";
    tabs.hidden = !panel;
    for (const button of tabs.querySelectorAll("[data-shows]")) button.setAttribute("aria-pressed", String(button.dataset.shows === shown));
    for (const part of root.querySelectorAll("[data-shown]")) part.hidden = part.dataset.shown !== shown;
  }

  for (const button of tabs.querySelectorAll("[data-shows]")) button.addEventListener("click", () => look(button.dataset.shows));
  look("veil");
  return {
    show(next) {
      if (next === panel) return;
      panel = next;
      host.replaceChildren(...(panel ? [panel] : []));
      look("veil");
    },
    toggle: () => panel && look(side === "veil" ? "readings" : "veil"),
    readings: () => look("readings"),
  };
}
