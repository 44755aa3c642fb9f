// A cloth as it is drawn: where it would reach, itself or its roll, its folds and what it hangs on.
import { cloth, folds, ghost, roll } from "./cloth.js";

const NS = "http://www.w3.org/2000/svg";

/** A new, empty drawing. */
export const drawing = () => document.createElementNS(NS, "svg");

/** @param narrow below which width it hangs on one hook */
export function shapes(item, { width, drop, full, narrow }) {
  const make = (name, attributes) => {
    const made = document.createElementNS(NS, name);
    for (const [key, value] of Object.entries(attributes)) made.setAttribute(key, value);
    return made;
  };
  const hooks = (width < narrow ? [width / 2] : [16, width - 16]).map((cx) =>
    make("circle", { class: "ring-hook", cx, cy: 0, r: 3.5 }),
  );
  const all = [make("path", { class: "ghost", d: ghost(width, full) })];
  if (item.lifted) all.push(make("path", { class: "cloth", d: roll(width) }));
  else {
    for (let i = Math.min(2, (item.layers ?? 1) - 1); i > 0; i -= 1) {
      const behind = make("path", { class: "behind", d: cloth(width, drop + 3 * i) });
      behind.setAttribute("transform", `translate(${4 * i} 0)`);
      all.push(behind);
    }
    all.push(make("path", { class: "cloth", d: cloth(width, drop) }));
    all.push(make("path", { class: "fold", d: folds(width, drop), fill: "none" }));
  }
  return [...all, ...hooks];
}
