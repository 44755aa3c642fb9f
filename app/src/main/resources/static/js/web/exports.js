// Full-size results: asked for, made as a job, fetched when they are there.
import { send } from "./http.js";
import { fetchResult, follow } from "./jobs.js";
import { settled } from "./leaving.js";
import { say, sayFault } from "./say.js";

const KEPT = "discreet-results";

/** A tick that leaves place and serial numbers out of results; it stays as it was set last. */
export function discreetTick(tick) {
  if (!tick) return () => false;
  tick.checked = localStorage.getItem(KEPT) === "yes";
  tick.addEventListener("change", () => localStorage.setItem(KEPT, tick.checked ? "yes" : "no"));
  return () => tick.checked;
}

/**
 * @param buttons elements with data-format
 * @param address (format) → where an export is asked for
 */
export function listenExports(buttons, address) {
  const discreet = discreetTick(document.querySelector("[data-discreet]"));
  for (const button of buttons) {
    button.addEventListener("click", async () => {
      button.disabled = true;
      button.classList.add("is-working");
      try {
        await settled();
        const { job } = await send("POST", `${address(button.dataset.format)}&discreet=${discreet()}`);
        const ended = await follow(job);
        if (ended.result) fetchResult(ended);
        else say(ended.said, { fault: true });
      } catch (error) {
        sayFault(error);
      }
      button.disabled = false;
      button.classList.remove("is-working");
    });
  }
}
