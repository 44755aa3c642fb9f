// Draws a part of the page anew without taking the keys away from it: what had the focus has it again.

const FOCUSABLE = "button, input, select, textarea, a[href], [tabindex]";

const nameOf = (e) => e.getAttribute("aria-label") ?? (e.matches("input, select, textarea") ? "" : e.textContent.trim());
const canHold = (e) => !e.disabled && e.tabIndex >= 0 && e.getClientRects().length > 0;

/** Puts other children into an element; the focus goes to what bears the same name, or stands in the same place. */
export function redrawn(element, ...children) {
  const held = document.activeElement;
  const place = held !== element && element.contains(held) ? placeOf(element, held) : null;
  element.replaceChildren(...children);
  if (place) again(element, place);
}

const all = (element) => [...element.querySelectorAll(FOCUSABLE)];

const placeOf = (element, held) => ({ name: nameOf(held), type: held.type, index: all(element).indexOf(held) });

function again(element, { name, type, index }) {
  const found = all(element).filter(canHold);
  const near = (e) => Math.abs(all(element).indexOf(e) - index);
  const nearest = (list) => list.toSorted((a, b) => near(a) - near(b))[0];
  const same = name ? found.filter((e) => nameOf(e) === name && e.type === type) : [];
  nearest(same.length > 0 ? same : found)?.focus({ preventScroll: true });
}
