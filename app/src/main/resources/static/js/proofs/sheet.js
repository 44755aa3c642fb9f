// Builds a proof sheet row by row as it comes into sight, and fills it in while it is rendered. The
// work is a job: it goes on when the page is left.
import { send } from "../web/http.js";
import { begun, timeLeft } from "../web/jobs.js";
import { sayFault } from "../web/say.js";

const POLL_MS = 400;
const NEAR = "1200px";
const sheet = document.querySelector("[data-sheet]");
const state = JSON.parse(sheet.dataset.state);
const address = `/api/proofs/${state.kit}`;
const find = (name) => sheet.querySelector(`[data-${name}]`);

const made = new Set(); // "effect:photo"
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
  if (!made.has(link.dataset.cell) || link.firstChild) return;
  const [effect, photo] = link.dataset.cell.split(":");
  link.append(Object.assign(new Image(), { alt: "", loading: "lazy", src: `/effects/${effect}/small?photo=${photo}` }));
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
  if (answer.rows) {
    made.clear();
    const row = new Map(answer.rows);
    for (const [photo] of state.photos) {
      [...(row.get(String(photo)) ?? "")].forEach((there, i) => there === "1" && state.effects[i] && made.add(`${state.effects[i][0]}:${photo}`));
    }
    ({ done, total } = answer);
    for (const link of sheet.querySelectorAll("[data-cell]")) fill(link);
  }
  for (const [effect, photo] of answer.made ?? []) {
    const key = `${effect}:${photo}`;
    if (!made.has(key)) done += 1;
    made.add(key);
    const link = sheet.querySelector(`[data-cell="${key}"]`);
    if (link) fill(link);
  }
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

if (find("progress")) {
  build();
  find("start").addEventListener("click", begin);
  find("stop").addEventListener("click", () => send("POST", `${address}/stop`).catch(sayFault));
  const job = await look();
  if (job && ["stopped", "failed", "cut off"].includes(job.state)) watch();
  else begin();
}
