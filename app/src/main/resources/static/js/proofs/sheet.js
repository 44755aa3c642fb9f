// Builds a proof sheet row by row as it comes into sight, and fills it in while it is rendered. The
// work is a job: it goes on when the page is left.
import { send } from "../web/http.js";
import { begun, timeLeft } from "../web/jobs.js";
import { sayFault } from "../web/say.js";
import { listen } from "../web/keys.js";
import { farthest, matches, tally, verdictLine } from "./verdicts.js";

const POLL_MS = 400;
const NEAR = "1200px";
const sheet = document.querySelector("[data-sheet]");
const state = JSON.parse(sheet.dataset.state);
const address = `/api/proofs/${state.kit}`;
const find = (name) => sheet.querySelector(`[data-${name}]`);

const WITHIN = { state: "within" };
const made = new Map(); // by "effect:photo": { state, measure, value, share }
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
  if (!verdict) return;
  const [effect, photo] = link.dataset.cell.split(":");
  if (!link.querySelector("img")) link.prepend(Object.assign(new Image(), { alt: "", loading: "lazy", src: `/effects/${effect}/small?photo=${photo}` }));
  link.querySelector(".verdict")?.remove();
  const line = verdictLine(verdict, measures);
  if (line) {
    line.id = `verdict-${effect}-${photo}`;
    link.setAttribute("aria-describedby", line.id);
    link.append(line);
  } else link.removeAttribute("aria-describedby");
}

/** The cells of a row, once. */
function fillRow(row) {
  rows.unobserve(row);
  if (!row.querySelector("td")) row.append(...state.effects.map((effect) => cell(effect, row.photo)));
}

const rows = new IntersectionObserver(
  (entries) => {
    for (const { isIntersecting, target } of entries) {
      if (!isIntersecting) continue;
      fillRow(target);
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
    ({ done, total } = answer);
    const row = new Map(answer.rows);
    for (const [photo] of state.photos) {
      [...(row.get(photo) ?? "")].forEach((there, i) => there === "1" && state.effects[i] && made.set(`${state.effects[i][0]}:${photo}`, WITHIN));
    }
  }
  for (const [effect, photo, word, measure, value, share] of answer.marks ?? answer.made ?? []) {
    const key = `${effect}:${photo}`;
    if (!made.has(key)) done += 1;
    made.set(key, { state: word, measure, value, share });
    const link = sheet.querySelector(`[data-cell="${key}"]`);
    if (link) fill(link);
  }
  if (answer.rows) for (const link of sheet.querySelectorAll("[data-cell]")) fill(link);
  const told = tally(made.values());
  find("tally").textContent = told.words;
  if (told.bad === 0 && wanted !== "all") want("all");
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

let at = -1; // place among those that went farthest

/** Goes to the next of those that went farthest over their limits, or to the one before. */
function goOn(step) {
  const list = farthest(made);
  if (list.length === 0) return;
  at = (at + step + list.length) % list.length;
  const photo = Number(list[at].split(":")[1]);
  fillRow([...find("rows").children].find((row) => row.photo[0] === photo));
  const link = sheet.querySelector(`[data-cell="${list[at]}"]`);
  link.focus({ preventScroll: true });
  link.scrollIntoView({ block: "center", inline: "center" });
}

function want(which) {
  wanted = which;
  for (const button of sheet.querySelectorAll("[data-wanted]")) button.setAttribute("aria-pressed", String(button.dataset.wanted === which));
  for (const link of sheet.querySelectorAll("[data-cell]")) fill(link);
}

if (find("progress")) {
  build();
  listen([
    { keys: ["n"], says: "the next proof that is farthest over its limit", run: () => goOn(1) },
    { keys: ["b"], says: "the one before", run: () => goOn(at < 0 ? 0 : -1) },
  ]);
  for (const button of sheet.querySelectorAll("[data-wanted]")) button.addEventListener("click", () => want(button.dataset.wanted));
  find("start").addEventListener("click", begin);
  find("stop").addEventListener("click", () => send("POST", `${address}/stop`).catch(sayFault));
  const job = await look();
  if (job && ["stopped", "failed", "cut off"].includes(job.state)) watch();
  else begin();
}
