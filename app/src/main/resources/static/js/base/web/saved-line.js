// What the frame shows of saving: the word beside the buttons, and whether undo and redo can be used.
import { say, sayFault, sayNothing } from "./say.js";

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
 * What a store tells, shown.
 * @param took told every state that is taken: (state, differs)
 * @param retry tries again at once what waits
 * @param back told when the application answers again: what was drawn meanwhile is not what is stored
 */
export function savedLine(took, retry, back = () => {}) {
  const line = document.querySelector("[data-saved]");
  let waited = false;
  return {
    took(state, differs) {
      if (state.undo) showUndo(state.undo);
      took(state, differs);
    },
    saving: () => (line.textContent = "Saving"),
    saved() {
      line.textContent = "Saved";
      if (!waited) return;
      waited = false;
      sayNothing();
      back();
    },
    fault(error, again, waits) {
      waited ||= waits;
      line.textContent = waits ? "Waiting" : "Not saved";
      if (waits)
        say(`${error.message} Your change is kept here and is saved as soon as it can be.`, {
          fault: true,
          label: "Try now",
          action: retry,
        });
      else if (again) say(error.message, { fault: true, label: "Do mine again", action: again });
      else sayFault(error);
    },
  };
}

/** There is something to take back now, of which no more is known yet. */
export function canUndo() {
  const button = document.querySelector("[data-undo-button]");
  if (button) button.disabled = false;
}
