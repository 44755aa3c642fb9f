// A form that has a file made as a job, follows it and fetches it.
import { send } from "./http.js";
import { fetchResult, follow, howFar } from "./jobs.js";
import { sayFault } from "./say.js";

/**
 * @param root holds a form and [data-made-said]; without a form nothing is listened to
 * @param address (fields of the form) → where it is asked for
 */
export function making(root, address) {
  const form = root?.querySelector("form");
  form?.addEventListener("submit", async (event) => {
    event.preventDefault();
    const said = root.querySelector("[data-made-said]");
    const button = form.querySelector("button");
    button.disabled = true;
    try {
      const { job } = await send("POST", address(Object.fromEntries(new FormData(form))));
      const ended = await follow(job, (now) => (said.textContent = now.open ? howFar(now) : ""));
      said.textContent = [ended.said, ...ended.faults].filter(Boolean).join(" ");
      if (ended.result) fetchResult(ended);
    } catch (error) {
      sayFault(error);
    } finally {
      button.disabled = false;
    }
  });
}
