// A range of brightness with a feather on both sides, set on the histogram of the photo: drag an
// edge, or the slope outside it.

import { svg, tonesPath } from "./svg.js";

const W = 262;
const H = 40;
const ARROWS = { ArrowLeft: -1, ArrowRight: 1, ArrowUp: 1, ArrowDown: -1 };

const clamp = (v, low, high) => Math.min(high, Math.max(low, v));

/** The four grips: which setting each moves, where it is, and what a place means for the setting. */
const GRIPS = [
  { key: "from", label: "From", y: 0.16, at: (v) => v.from, value: (x, v) => clamp(x, 0, v.to) },
  { key: "to", label: "To", y: 0.16, at: (v) => v.to, value: (x, v) => clamp(x, v.from, 100) },
  {
    key: "featherBelow",
    label: "Feather below",
    y: 0.86,
    at: (v) => v.from - v.featherBelow,
    value: (x, v) => clamp(v.from - x, 0, 100),
  },
  {
    key: "featherAbove",
    label: "Feather above",
    y: 0.86,
    at: (v) => v.to + v.featherAbove,
    value: (x, v) => clamp(x - v.to, 0, 100),
  },
];

/**
 * @param on { input(values): while it moves, change(values): when it rests }
 * @returns { element, set(values), tones(histogram) }
 */
export function toneRange(on) {
  const element = svg("svg", { class: "tone-range", viewBox: `0 0 ${W} ${H}`, preserveAspectRatio: "none" });
  element.setAttribute("aria-label", "Range of brightness");
  const tones = svg("path", { class: "tones" }, element);
  const shape = svg("path", { class: "range" }, element);
  let values = null;
  let dragging = null;
  const grips = GRIPS.map((grip) => {
    const made = svg(
      "circle",
      {
        class: "point",
        r: 5,
        tabindex: 0,
        role: "slider",
        "aria-label": grip.label,
        "aria-valuemin": 0,
        "aria-valuemax": 100,
      },
      element,
    );
    made.dataset.grip = grip.key;
    made.addEventListener("pointerdown", (event) => {
      dragging = grip;
      made.setPointerCapture(event.pointerId);
      event.preventDefault();
      made.focus({ preventScroll: true });
    });
    made.addEventListener("pointermove", (event) => {
      if (dragging !== grip) return;
      const box = element.getBoundingClientRect();
      give(grip, ((event.clientX - box.left) / box.width) * 100, false);
    });
    for (const end of ["pointerup", "pointercancel"]) {
      made.addEventListener(end, () => {
        if (dragging !== grip) return;
        dragging = null;
        on.change(values);
      });
    }
    made.addEventListener("keydown", (event) => {
      const by = ARROWS[event.key];
      if (!by) return;
      event.preventDefault();
      event.stopPropagation();
      give(grip, grip.at(values) + by * (event.shiftKey ? 10 : 1), true);
    });
    return made;
  });

  function give(grip, x, rests) {
    set({ ...values, [grip.key]: Math.round(grip.value(x, values)) });
    on.input(values);
    if (rests) on.change(values);
  }

  function set(next) {
    values = { ...next };
    const x = (v) => (clamp(v, 0, 100) / 100) * W;
    const [a, b, c, d] = [next.from - next.featherBelow, next.from, next.to, next.to + next.featherAbove].map(x);
    shape.setAttribute("d", `M${a} ${H}L${b} 6L${c} 6L${d} ${H}Z`);
    GRIPS.forEach((grip, i) => {
      grips[i].setAttribute("cx", clamp(x(grip.at(next)), 4, W - 4));
      grips[i].setAttribute("cy", grip.y * H);
      grips[i].setAttribute("aria-valuenow", Math.round(next[grip.key]));
    });
  }

  return {
    element,
    set,
    tones: (histogram) => tones.setAttribute("d", tonesPath(histogram, W, H)),
  };
}
