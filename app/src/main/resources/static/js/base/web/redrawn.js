// Draws a part of the page anew without taking the keys away from it: what had the focus has it again.

export const FOCUSABLE = "button, input, select, textarea, a[href], summary, [tabindex]";

/** What an element is known by: its act where its words change with it. */
const nameOf = (e) =>
  e.dataset?.act ?? e.getAttribute("aria-label") ?? (e.matches("input, select, textarea") ? "" : e.textContent.trim());

/** Whether an element that has the focus can keep it. */
export const canHold = (e) => !e.disabled && e.getClientRects().length > 0;
const all = (box) => [...box.querySelectorAll(FOCUSABLE)];

/** Where an element stands within a box: its name, its sort, and its place in the order. */
export const placeIn = (box, element) => ({
  name: nameOf(element),
  type: element.type,
  index: all(box).indexOf(element),
});

/** What stands there now: of the same name, or else the nearest in the order; null for nothing. */
export function nearestOf(box, { name, type, index }) {
  const every = all(box);
  const found = every.filter((e) => e.tabIndex >= 0 && canHold(e));
  const same = name ? found.filter((e) => nameOf(e) === name && e.type === type) : [];
  const near = (e) => Math.abs(every.indexOf(e) - index);
  return (same.length > 0 ? same : found).toSorted((a, b) => near(a) - near(b))[0] ?? null;
}

/** Puts other children into an element; the focus goes to what stands in the place of what had it. */
export function redrawn(element, ...children) {
  const held = document.activeElement;
  const place = held !== element && element.contains(held) ? placeIn(element, held) : null;
  element.replaceChildren(...children);
  if (place) nearestOf(element, place)?.focus({ preventScroll: true });
}
