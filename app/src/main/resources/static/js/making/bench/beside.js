// The column beside the photo: the open veil, the readings, or what differs from the effect that this is a
// variant of; one press goes from one to the other.
import { redrawn } from "../../base/web/redrawn.js";

/**
 * @param root element of the column
 * @returns { root, show(panel): the open veil or null, toggle(), readings(), leave(), look(side), looked(fn) }
 */
export function beside(root) {
  const tabs = root.querySelector("[data-beside-tabs]");
  const host = root.querySelector("[data-shown=veil]");
  const listeners = [];
  let side = "veil";
  let panel = null;

  function look(next) {
    side = next;
    const shown = side === "veil" && !panel ? "readings" : side;
    const differing = shown === "variants";
    tabs.hidden = !panel && !differing;
    for (const button of tabs.querySelectorAll("[data-shows]")) {
      button.setAttribute("aria-pressed", String(button.dataset.shows === shown));
      button.hidden =
        (button.dataset.shows === "veil" && !panel) || (button.dataset.shows === "variants" && !differing);
    }
    for (const part of root.querySelectorAll("[data-shown]")) part.hidden = part.dataset.shown !== shown;
    for (const told of listeners) told(shown);
  }

  for (const button of tabs.querySelectorAll("[data-shows]"))
    button.addEventListener("click", () => look(button.dataset.shows));
  look("veil");
  return {
    root,
    look,
    show(next) {
      if (next === panel) return;
      panel = next;
      redrawn(host, ...(panel ? [panel] : []));
      if (side !== "variants") look("veil");
    },
    toggle: () => panel && look(side === "veil" ? "readings" : "veil"),
    readings: () => look("readings"),
    /** Back from what differs; whether it was shown. */
    leave() {
      const was = side === "variants";
      if (was) look("veil");
      return was;
    },
    /** Calls back with what is shown whenever that changes. */
    looked: (told) => listeners.push(told),
  };
}
