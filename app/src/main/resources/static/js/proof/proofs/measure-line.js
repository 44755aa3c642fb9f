// A line of the card: a measure, how far it went along the way to its limit and beyond.
import { element } from "../../base/web/element.js";
import { valueWords } from "../../photo/readings/verdicts.js";

/** How far along its line a share of the limit is drawn, per cent; the limit lies at 60. */
export const along = (share) => Math.min(100, 60 * share);

/** A measure of a cell against its limit. */
export function measureLine({ measure, label, unit, value, limit, less, state, share, accepted }) {
  const line = element("li", { className: `measure is-${state.split(",")[0]}` });
  line.dataset.measure = measure;
  const bar = element(
    "span",
    { className: "measure-bar" },
    element("i", { className: "measure-limit" }),
    element("i", { className: "measure-dot" }),
  );
  bar.style.setProperty("--at", `${along(share)}%`);
  const bound = `${less ? "at least " : "up to "}${valueWords(limit, unit)}`;
  line.append(
    element("span", { textContent: label }),
    bar,
    element("b", { textContent: valueWords(value, unit) }),
    element("small", { textContent: bound }),
  );
  if (accepted) line.append(element("em", { textContent: `${state}: ${accepted}` }));
  else if (state !== "within") line.append(element("span", { className: "sr-only", textContent: state }));
  return line;
}
