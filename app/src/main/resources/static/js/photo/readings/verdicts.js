// Verdicts of proofs: a line at the foot of a picture with a word and a number, and how many there are.
import { shown } from "../../base/editors/slider.js";

const CLASSES = { near: "is-near", over: "is-over", "over, accepted": "is-accepted", "not judged": "is-not-judged" };

/** A number of a measure in words. */
export function valueWords(value, unit) {
  const size = Math.abs(value);
  return `${shown(value, size >= 20 ? 1 : size >= 1 ? 0.1 : 0.01)} ${unit}`.trim();
}

/** The words of a verdict; empty for what is within, unless something else is said of it. */
export function verdictWords({ state, measure, value, words = "" }, measures) {
  if (state === "within") return words;
  if (state === "not judged") return words || state;
  const { word, unit } = measures.get(measure);
  const said = `${state} · ${word} ${valueWords(value, unit)}`;
  return state === "over, accepted" && words ? `${said}: ${words}` : said;
}

/** How strong the tone behind a number is, 0…1: nothing untouched, all at twice the limit. */
export const tone = (share = 0) => Math.min(1, share / 2).toFixed(2);

/** @returns the line, or null for what is within */
export function verdictLine(verdict, measures) {
  const words = verdictWords(verdict, measures);
  if (words === "") return null;
  const line = document.createElement("span");
  line.className = `verdict ${CLASSES[verdict.state] ?? "is-note"}`;
  line.textContent = line.title = words;
  return line;
}

/** Whether a cell is among those that are looked at: all, near or over, over. */
export function matches(wanted, verdict) {
  if (wanted === "all") return true;
  return verdict?.state === "over" || (wanted === "near" && verdict?.state === "near");
}

/** How many are over and near. @returns { counts, words } */
export function tally(verdicts) {
  const counts = { over: 0, near: 0 };
  for (const { state } of verdicts) if (state in counts) counts[state] += 1;
  const words = Object.entries(counts)
    .filter(([, n]) => n > 0)
    .map(([state, n]) => `${n} ${state}`);
  return { counts, words: words.join(", ") };
}

/** Cells that are over, the farthest first, then those that are near. @param made verdicts by cell */
export function farthest(made) {
  const bad = [...made].filter(([, { state }]) => state === "over" || state === "near");
  return bad.toSorted(([, a], [, b]) => b.share - a.share).map(([cell]) => cell);
}
