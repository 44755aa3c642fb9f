// Fills a proof sheet in while it is rendered; the work goes on when the page is left.
import { send } from "../web/http.js";
import { sayFault } from "../web/say.js";

const POLL_MS = 400;
const sheet = document.querySelector("[data-sheet]");
const address = `/api/proofs/${sheet.dataset.kit}`;
const count = sheet.querySelector("[data-count]");
const bar = sheet.querySelector("[data-progress]");
const stop = sheet.querySelector("[data-stop]");
const start = sheet.querySelector("[data-start]");
const cells = new Map();
for (const link of sheet.querySelectorAll("[data-cell]")) cells.set(link.dataset.cell, link);

/** Time left in words. */
export function timeLeft(seconds) {
  if (seconds <= 0) return "";
  if (seconds < 90) return `, about ${seconds} s left`;
  return `, about ${Math.round(seconds / 60)} min left`;
}

function fill(made) {
  for (const { effect, photo, key } of made) {
    const link = cells.get(`${effect}:${photo}`);
    if (!link || link.dataset.key === key) continue;
    link.dataset.key = key;
    const picture = new Image();
    picture.alt = "";
    picture.src = `/proofs/cell/${key}`;
    link.replaceChildren(picture);
  }
}

async function look() {
  const state = await send("GET", address);
  fill(state.cells);
  bar.max = Math.max(1, state.total);
  bar.value = state.done;
  const whole = state.done >= state.total;
  count.textContent = state.running
    ? `${state.done} of ${state.total}${timeLeft(state.secondsLeft)}`
    : `${state.done} of ${state.total} proofs${whole ? "" : ", stopped"}`;
  stop.hidden = !state.running;
  start.hidden = state.running || whole;
  return state.running;
}

async function watch() {
  try {
    while (await look()) await new Promise((done) => setTimeout(done, POLL_MS));
  } catch (error) {
    sayFault(error);
  }
}

async function begin() {
  try {
    await send("POST", `${address}/start`);
  } catch (error) {
    sayFault(error);
  }
  await watch();
}

if (bar) {
  start.addEventListener("click", begin);
  stop.addEventListener("click", () => send("POST", `${address}/stop`).catch(sayFault));
  if (sheet.dataset.stopped === "true") watch();
  else begin();
}
