// Follows long work: how far it is in words, and its result once it is there.
import { send } from "./http.js";

const FIRST_MS = 250;
const SLOWEST_MS = 1500;

/** Time left in words, with what goes before it. */
export function timeLeft(seconds) {
  if (seconds <= 0) return "";
  if (seconds < 90) return `, about ${seconds} s left`;
  return `, about ${Math.round(seconds / 60)} min left`;
}

/** How far a job is, in words. */
export function howFar({ state, done, total, secondsLeft }) {
  if (state === "waiting") return "waits for its turn";
  return total > 1 ? `${done} of ${total}${timeLeft(secondsLeft)}` : "under way";
}

/** Tells the header that something was begun. */
export const begun = () => document.dispatchEvent(new CustomEvent("job-begun"));

/**
 * Looks again and again until a job has ended.
 * @param told each state of it
 * @returns promise of how it ended
 */
export async function follow(job, told = () => {}) {
  begun();
  let now = job;
  for (let wait = FIRST_MS; now.open; wait = Math.min(SLOWEST_MS, wait * 1.3)) {
    told(now);
    await new Promise((done) => setTimeout(done, wait));
    now = await send("GET", `/api/jobs/${job.id}`);
  }
  told(now);
  return now;
}

/** Fetches the result of a job that has ended, as a download. */
export function fetchResult(job) {
  const link = Object.assign(document.createElement("a"), { href: `/jobs/${job.id}/result`, download: "" });
  document.body.append(link);
  link.click();
  link.remove();
}
