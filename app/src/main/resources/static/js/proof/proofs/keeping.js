// The sheet kept as a file, and as the one that changes are measured against.
import { send } from "../../base/web/http.js";
import { begun, fetchResult, follow, howFar } from "../../base/web/jobs.js";
import { say, sayFault } from "../../base/web/say.js";
import { found } from "./searching.js";

/**
 * @param count element that says how far it is
 * @param on { look(): shows the sheet as it is, approved() }
 */
export function keeping(count, kit, { look, approved }) {
  const tried = (run) => (what) => run(what).catch(sayFault);
  return {
    keep: tried(async (as) => {
      const { job } = await send("POST", `/api/proofs/${kit}/keep`, { as });
      begun();
      const ended = await follow(job, (now) => (count.textContent = now.open ? howFar(now) : ""));
      if (ended.result) fetchResult(ended);
      else say([ended.said, ...ended.faults].filter(Boolean).join(" "), { fault: true });
      await look();
    }),
    approve: tried(async () => {
      const what = await found({ search: "approve", kit }, (how) => (count.textContent = how));
      await look();
      if (what?.approved) approved();
      else say("The sheet was not approved: a part of it could not be kept.", { fault: true });
    }),
  };
}
