// What the frame shows of saving: the word beside the buttons, and whether undo and redo can be used.
import { say, sayFault } from "./say.js";

export function showUndo({ canUndo, canRedo }) {
  document.querySelector("[data-undo-button]").disabled = !canUndo;
  document.querySelector("[data-redo-button]").disabled = !canRedo;
}

/** Lets the frame's two buttons take back and do again. */
export function listenUndo(undo) {
  document.querySelector("[data-undo-button]").addEventListener("click", () => undo(false));
  document.querySelector("[data-redo-button]").addEventListener("click", () => undo(true));
}

/**
 * What a Saver tells, shown.
 * @param wantsReload says of a fault whether loading the page anew would help
 */
export function savedLine(wantsReload) {
  const line = document.querySelector("[data-saved]");
  return ({ saving, saved, fault, idle }) => {
    if (saving) line.textContent = "Saving";
    if (saved?.undo) showUndo(saved.undo);
    if (idle) line.textContent = "Saved";
    if (!fault) return;
    line.textContent = "Not saved";
    if (wantsReload(fault)) say(fault.message, { fault: true, label: "Reload", action: () => location.reload() });
    else sayFault(fault);
  };
}
