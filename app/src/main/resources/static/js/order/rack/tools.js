// The tools of a rack: how large effects hang, and what is done with all that are picked.
import { picked } from "../../base/web/picked.js";

/** @param look { picked: Set of ids, size } */
export function showTools(page, look) {
  const n = look.picked.size;
  page.querySelector("[data-picked]").hidden = n < 2;
  page.querySelector("[data-picked-count]").textContent = `${n} picked`;
  page.dataset.size = look.size;
  for (const button of page.querySelectorAll("[data-size]"))
    button.setAttribute("aria-pressed", String(button.dataset.size === look.size));
}

/** What is picked once an effect was clicked. @param ids all in sight, in order */
export function clickedTo(look, ids, event, id) {
  const how = { ctrl: event.ctrlKey || event.metaKey, shift: event.shiftKey, last: look.last ?? null };
  if (!how.shift) look.last = id;
  return how.ctrl || how.shift ? picked(look.picked, ids, id, how) : new Set([id]);
}

/** What is picked once keys have led to an effect. @param extend all on the way is picked too */
export function ledTo(look, id, extend) {
  if (extend) return new Set([...look.picked, look.active, id].filter(Boolean));
  return look.picked.size > 1 ? look.picked : new Set([id]);
}

/** The page's buttons for undo and redo send nothing by themselves. @param undo (redo) */
export function takeOverUndo(undo) {
  for (const [name, redo] of Object.entries({ undo: false, redo: true })) {
    const button = document.querySelector(`[data-${name}-button]`);
    delete button.dataset.send;
    button.addEventListener("click", () => undo(redo));
  }
}
