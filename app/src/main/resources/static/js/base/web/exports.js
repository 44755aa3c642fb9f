// Full-size results: asked for, made as a job, fetched when they are there.
import { send } from "./http.js";
import { fetchResult, follow } from "./jobs.js";
import { settled } from "./leaving.js";
import { say, sayFault } from "./say.js";
import { resultWishes } from "./wishes.js";

const FORMAT = "nine-veils-format";

/**
 * @param buttons elements with data-format
 * @param address (format) → where an export is asked for
 */
export function listenExports(buttons, address) {
  const wishes = resultWishes(document.querySelector("[data-wishes]"));
  const mark = (format) => {
    for (const one of buttons) one.classList.toggle("is-last", one.dataset.format === format);
  };
  mark(localStorage.getItem(FORMAT));
  for (const button of buttons) {
    button.addEventListener("click", async () => {
      button.disabled = true;
      button.classList.add("is-working");
      try {
        await settled();
        const { job } = await send("POST", address(button.dataset.format), wishes());
        const ended = await follow(job);
        localStorage.setItem(FORMAT, button.dataset.format);
        mark(button.dataset.format);
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
