// The hem of a cloth: dragged and moved by keys it sets the opacity.
import { dropOf, opacityAt } from "./cloth.js";

const FROM = 3; // pixels before a press is a drag
const STEPS = { ArrowDown: 1, ArrowRight: 1, ArrowUp: -1, ArrowLeft: -1, PageDown: 10, PageUp: -10 };
const FAR = { Home: 0, End: 1 };

/** @param of { opacity(), full(): the longest drop, let(opacity, rests), pressed() } */
export function listenHem(hem, of) {
  let from = null;
  hem.addEventListener("pointerdown", (event) => {
    hem.setPointerCapture(event.pointerId);
    from = { y: event.clientY, drop: dropOf(of.opacity(), of.full()), moved: false };
  });
  hem.addEventListener("pointermove", (event) => {
    if (!from || (!from.moved && Math.abs(event.clientY - from.y) < FROM)) return;
    from.moved = true;
    of.let(opacityAt(from.drop + event.clientY - from.y, of.full()), false);
  });
  for (const end of ["pointerup", "pointercancel"]) {
    hem.addEventListener(end, () => {
      const press = from;
      from = null;
      if (press?.moved) of.let(of.opacity(), true);
      else if (press && end === "pointerup") of.pressed();
    });
  }
  hem.addEventListener("keydown", (event) => {
    const { key } = event;
    if (!(key in STEPS) && !(key in FAR)) return;
    event.preventDefault();
    event.stopPropagation();
    const next = FAR[key] ?? Math.min(1, Math.max(0, of.opacity() + STEPS[key] / 100));
    of.let(Math.round(next * 100) / 100, true);
  });
}
