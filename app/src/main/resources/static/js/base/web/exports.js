// Full-size results: asked for, made as a job, fetched when they are there.
import { send } from "./http.js";
import { fetchResult, follow } from "./jobs.js";
import { settled } from "./leaving.js";
import { say, sayFault } from "./say.js";

const DISCREET = "discreet-results";
const QUALITY = "quality-of-results";

/**
 * What is wished of results: without place and serial numbers, and the quality of a JPEG. It stays as it
 * was set last, on every page.
 * @param root holds [data-discreet] and [data-quality]
 * @returns () → { discreet, quality }
 */
export function resultWishes(root) {
  const tick = root.querySelector("[data-discreet]");
  const number = root.querySelector("[data-quality]");
  tick.checked = localStorage.getItem(DISCREET) === "yes";
  tick.addEventListener("change", () => localStorage.setItem(DISCREET, tick.checked ? "yes" : "no"));
  number.value = localStorage.getItem(QUALITY) ?? number.defaultValue;
  number.addEventListener("change", () => {
    if (!number.checkValidity() || number.value === "") number.value = number.defaultValue;
    localStorage.setItem(QUALITY, number.value);
  });
  return () => ({ discreet: tick.checked, quality: Number(number.value) });
}

/**
 * @param buttons elements with data-format
 * @param address (format) → where an export is asked for
 */
export function listenExports(buttons, address) {
  const wishes = resultWishes(document.querySelector("[data-wishes]"));
  for (const button of buttons) {
    button.addEventListener("click", async () => {
      button.disabled = true;
      button.classList.add("is-working");
      try {
        await settled();
        const { discreet, quality } = wishes();
        const asked = `${address(button.dataset.format)}&quality=${quality}&discreet=${discreet}`;
        const { job } = await send("POST", asked);
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
