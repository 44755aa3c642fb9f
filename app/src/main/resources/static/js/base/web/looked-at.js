// What is shown while something is pointed at, or has the focus.

/** Calls begin when the pointer or the focus comes to an element or into it, end when it leaves. */
export function whileLookedAt(element, begin, end) {
  for (const event of ["pointerenter", "focusin"]) element.addEventListener(event, begin);
  for (const event of ["pointerleave", "focusout"]) element.addEventListener(event, end);
}
