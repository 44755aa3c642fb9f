// Starts a search and follows it to what it found.
import { send } from "../../base/web/http.js";
import { follow, howFar } from "../../base/web/jobs.js";

/**
 * @param request { search, … }
 * @param told words how far it is
 * @returns promise of what was found; null where it was stopped
 * @throws Error with a sentence where it failed
 */
export async function found(request, told = () => {}) {
  const { job } = await send("POST", "/api/proofs/searches", request);
  const ended = await follow(job, (now) => told(now.open ? howFar(now) : ""));
  if (ended.faults.length > 0 && !ended.result) throw new Error(ended.faults[0]);
  if (ended.state === "failed") throw new Error(ended.said || "The search failed.");
  return ended.result ? send("GET", `/jobs/${ended.id}/result`) : null;
}
