// Builds a proof sheet row by row as it comes into sight, and fills it in while it is rendered. The
// work is a job: it goes on when the page is left.
import { send } from "../web/http.js";
import { begun, timeLeft } from "../web/jobs.js";
import { sayFault } from "../web/say.js";
import { matches, tally, verdictLine } from "./verdicts.js";

const POLL_MS = 400;
const NEAR = "1200px";
const sheet = document.querySelector("[data-sheet]");
const state = JSON.parse(sheet.dataset.state);
const address = `/api/proofs/${state.kit}`;
const find = (name) => sheet.querySelector(`[data-${name}]`);

const made = new Map(); // by "effect:photo": { state, measure, value }
const measures = new Map(state.measures.map(([id, label, unit]) => [id, { label, unit }]));
let wanted = "all"; // which cells are looked at
let done = 0;
let total = state.effects.length * state.photos.length;
let since = -1;

function cell([effect, name], [photo, photoName]) {
  const td = document.createElement("td");
  const link = document.createElement("a");
  link.href = `/bench/${effect}?photo=${photo}`;
  link.dataset.cell = `${effect}:${photo}`;
  link.setAttribute("aria-label", `${name} on ${photoName}`);
  td.append(link);
  fill(link);
  return td;
}

function fill(link) {
  const verdict = made.get(link.dataset.cell);
  link.classList.toggle("is-out", !matches(wanted, verdict));
  if (!verdict || link.firstChild) return;
  const [effect, photo] = link.dataset.cell.split(":");
  link.append(...verdictLine(verdict, measures));
  link.prepend(Object.assign(new Image(), { alt: "", loading: "lazy", src: `/effects/${effect}/small?photo=${photo}` }));
}

const rows = new IntersectionObserver(
  (entries) => {
    for (const { isIntersecting, target } of entries) {
      if (!isIntersecting) continue;
      rows.unobserve(target);
      target.append(...state.effects.map((effect) => cell(effect, target.photo)));
    }
  },
  { rootMargin: NEAR },
);

function build() {
  const head = find("columns");
  for (const [, name, section] of state.effects) {
    const th = document.createElement("th");
    th.scope = "col";
    th.append(Object.assign(document.createElement("span"), { textContent: section }), name);
    head.append(th);
  }
  for (const photo of state.photos) {
    const row = document.createElement("tr");
    row.photo = photo;
    const th = Object.assign(document.createElement("th"), { textContent: photo[1] });
    th.scope = "row";
    row.append(th);
    find("rows").append(row);
    rows.observe(row);
  }
}

function take(answer) {
  if (answer.cells) {
    made.clear();
    ({ done, total } = answer);
  }
  for (const [effect, photo, word, measure, value] of answer.cells ?? answer.made ?? []) {
    const key = `${effect}:${photo}`;
    if (!answer.cells && !made.has(key)) done += 1;
    made.set(key, { state: word, measure, value });
    const link = sheet.querySelector(`[data-cell="${key}"]`);
    if (link) fill(link);
  }
  const told = tally(made.values());
  find("tally").textContent = told.words;
  for (const button of sheet.querySelectorAll("[data-wanted]")) button.hidden = told.bad === 0;
  since = answer.since;
}

async function look() {
  const answer = await send("GET", `${address}?since=${since}`);
  take(answer);
  const { job } = answer;
  find("progress").max = Math.max(1, total);
  find("progress").value = done;
  const whole = done >= total;
  const how = job?.state === "failed" ? ", failed" : ", stopped";
  find("count").textContent = job?.open
    ? job.state === "waiting" ? "Waits until what runs is done" : `${done} of ${total}${timeLeft(job.secondsLeft)}`
    : `${done} of ${total} proofs${whole ? "" : how}`;
  find("faults").replaceChildren(...(job?.faults ?? []).slice(0, 5).map((f) => Object.assign(document.createElement("li"), { textContent: f })));
  find("stop").hidden = !job?.open;
  find("start").hidden = job?.open || whole;
  return job;
}

async function watch() {
  try {
    while ((await look())?.open) await new Promise((wait) => setTimeout(wait, POLL_MS));
  } catch (error) {
    sayFault(error);
  }
}

async function begin() {
  try {
    await send("POST", `${address}/start`);
    begun();
  } catch (error) {
    sayFault(error);
  }
  await watch();
}

function want(which) {
  wanted = which;
  for (const button of sheet.querySelectorAll("[data-wanted]")) button.setAttribute("aria-pressed", String(button.dataset.wanted === which));
  for (const link of sheet.querySelectorAll("[data-cell]")) fill(link);
}

if (find("progress")) {
  build();
  for (const button of sheet.querySelectorAll("[data-wanted]")) button.addEventListener("click", () => want(button.dataset.wanted));
  find("start").addEventListener("click", begin);
  find("stop").addEventListener("click", () => send("POST", `${address}/stop`).catch(sayFault));
  const job = await look();
  if (job && ["stopped", "failed", "cut off"].includes(job.state)) watch();
  else begin();
}
