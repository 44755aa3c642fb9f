// A handle that is pulled along a line to set a number: pointer, wheel, keys, double-click for the start;
// with Shift the hand moves ten times as far.
import { onGrid, stepped, stepsOf } from "./steps.js";

const FINE = 0.1;
const WHEEL_SETTLES_MS = 250;
const DRAG_FROM = 2; // px

/**
 * @param element of SVG, a slider to screen readers
 * @param of { setting(): descriptor, value(), line(): { x, y } from the least to the most, in px of the
 *   screen }
 * @param on { input(value), change(value): when it rests, held(is) }
 */
export function pulled(element, of, on) {
  let from = null;
  let settling;
  const give = (value, rests) => {
    if (value !== of.value()) on.input(value);
    if (rests) on.change(value);
  };
  element.setAttribute("tabindex", "0");
  element.setAttribute("role", "slider");
  element.addEventListener("pointerdown", (event) => {
    if (event.button !== 0) return;
    event.preventDefault();
    element.setPointerCapture(event.pointerId);
    element.focus({ preventScroll: true });
    from = { x: event.clientX, y: event.clientY, value: of.value(), moved: false };
  });
  element.addEventListener("pointermove", (event) => {
    if (!from) return;
    const [dx, dy] = [event.clientX - from.x, event.clientY - from.y];
    if (!from.moved && Math.hypot(dx, dy) < DRAG_FROM) return;
    from.moved = true;
    const { x, y } = of.line();
    const share = (dx * x + dy * y) / (x * x + y * y);
    const { min, max } = of.setting();
    give(onGrid(of.setting(), from.value + share * (max - min) * (event.shiftKey ? FINE : 1)), false);
  });
  for (const end of ["pointerup", "pointercancel"]) {
    element.addEventListener(end, () => {
      if (from?.moved) on.change(of.value());
      from = null;
    });
  }
  element.addEventListener(
    "wheel",
    (event) => {
      event.preventDefault();
      give(stepped(of.setting(), of.value(), -Math.sign(event.deltaY || event.deltaX)), false);
      clearTimeout(settling);
      settling = setTimeout(() => on.change(of.value()), WHEEL_SETTLES_MS);
    },
    { passive: false },
  );
  element.addEventListener("dblclick", () => give(of.setting().start, true));
  element.addEventListener("keydown", (event) => {
    const steps = stepsOf(event);
    if (!steps) return;
    event.preventDefault();
    event.stopPropagation();
    give(stepped(of.setting(), of.value(), steps), true);
  });
  for (const [name, is] of [
    ["pointerenter", true],
    ["focus", true],
    ["pointerleave", false],
    ["blur", false],
  ])
    element.addEventListener(name, () => on.held?.(is));
}

/** Tells a screen reader what a handle is and where it stands. */
export function spoken(element, setting, value, words) {
  const told = {
    label: setting.label,
    valuemin: setting.min,
    valuemax: setting.max,
    valuenow: value,
    valuetext: words,
  };
  for (const [key, is] of Object.entries(told)) element.setAttribute(`aria-${key}`, is);
}
