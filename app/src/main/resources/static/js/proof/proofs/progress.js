// How far the sheet is rendered, and what came out so far.
import { timeLeft } from "../../base/web/jobs.js";
import { tally } from "../../photo/readings/verdicts.js";

const MOST_FAULTS = 5;

function words({ done, total }, job) {
  if (job?.state === "waiting") return "Waits until what runs is done";
  if (job?.open) return `${done} of ${total}`;
  const how = job?.state === "failed" ? ", failed" : ", stopped";
  return `${done} of ${total} proofs${done >= total ? "" : how}`;
}

/** @param job that renders it; null where none ever did */
export function showProgress(find, { done, total }, job) {
  const isOpen = Boolean(job?.open);
  Object.assign(find("progress"), { max: Math.max(1, total), value: done, hidden: !isOpen });
  find("count").textContent = words({ done, total }, job);
  find("count").title = isOpen ? timeLeft(job.secondsLeft).replace(", ", "") : "";
  const faults = (job?.faults ?? []).slice(0, MOST_FAULTS);
  find("faults").replaceChildren(...faults.map((f) => Object.assign(document.createElement("li"), { textContent: f })));
  find("stop").hidden = !isOpen;
  find("start").hidden = isOpen || done >= total;
}

/** How many cells are over and near. */
export function showTally(find, cells) {
  const { counts, words } = tally(cells.values());
  find("tally").textContent = words || (cells.size > 0 ? "Every proof is within its limits, or accepted." : "");
  find("tally-over").textContent = `${counts.over} over`;
  find("tally-near").textContent = `${counts.near} near`;
}
