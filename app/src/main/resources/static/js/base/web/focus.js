// Keeps the keys where they were: when what has the focus goes, is hidden or can no longer be used, the
// focus goes to what bears its name or stands in its place, near by. Only for who works with the keys.
import { inNextFrame } from "./frames.js";
import { canHold, FOCUSABLE, nearestOf, placeIn } from "./redrawn.js";

const FAR = 7; // ancestors that are looked through

let byKeys = false;
let last = null; // { element, around: [{ box, place }] from near to far }

const isLost = () => document.activeElement === document.body || document.activeElement === null;

function remember(element) {
  const around = [];
  for (let box = element.parentElement; box && around.length < FAR; box = box.parentElement)
    around.push({ box, place: placeIn(box, element) });
  last = { element, around };
}

function restore() {
  if (!byKeys || !last || !(isLost() || !canHold(document.activeElement)) || canHold(last.element)) return;
  for (const { box, place } of last.around) {
    const next = box.isConnected && nearestOf(box, place);
    if (next) return next.focus({ preventScroll: true });
  }
}

/** Begins to keep it. */
export function keepFocus() {
  document.addEventListener("keydown", () => (byKeys = true), true);
  document.addEventListener("pointerdown", () => (byKeys = false), true);
  document.addEventListener("focusin", (event) => event.target.matches(FOCUSABLE) && remember(event.target));
  new MutationObserver(inNextFrame(restore)).observe(document.body, {
    subtree: true,
    childList: true,
    attributes: true,
    attributeFilter: ["hidden", "disabled"],
  });
}
