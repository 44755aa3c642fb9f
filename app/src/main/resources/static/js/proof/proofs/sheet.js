// The page of a proof sheet: the sheet itself, look-alikes, pairs and what has changed, with cards and
// limits beside them. Rendering is a job: it goes on when the page is left.
import { send } from "../../base/web/http.js";
import { begun, fetchResult, follow, howFar, timeLeft } from "../../base/web/jobs.js";
import { listen } from "../../base/web/keys.js";
import { partsOf } from "../../base/web/parts.js";
import { say, sayFault } from "../../base/web/say.js";
import { Alike } from "./alike.js";
import { Card } from "./card.js";
import { Changed } from "./changed.js";
import { Column } from "./column.js";
import { farthestList } from "./farthest.js";
import { Grid } from "./grid.js";
import { LimitsPanel } from "./limits.js";
import { found } from "./searching.js";
import { keyOf, looking, measured, newSheet, photoChoices, taken } from "./sheet-state.js";
import { Together } from "./together.js";
import { farthest, tally } from "../../photo/readings/verdicts.js";

const POLL_MS = 400;
const FACTS_MS = 60;
const page = document.querySelector("[data-sheet]");
const data = JSON.parse(page.dataset.state);
const address = `/api/proofs/${data.kit}`;
const find = (name) => page.querySelector(`[data-${name}]`);
const measures = new Map(data.measures.map((m) => [m.id, m]));

function start() {
  let sheet = newSheet(data);
  const names = { effect: (id) => sheet.effects.find((e) => e.id === id), photo: (id) => sheet.photos.find((p) => p.id === id) };
  const grid = new Grid(find("grid"), measures, { open: openCard, column: openColumn });
  const card = new Card(find("card"), names, { changed: remake, judged: again, close: closeAside });
  const column = new Column(find("column"), names, measures, { changed: remake, close: closeAside });
  const alike = new Alike(find("alike"), page, data, { undone });
  new Together(find("together"), data.kit, names, measures);
  const changed = new Changed(find("changed"), data.kit, names, measures, { open: openCard, undone });
  new LimitsPanel(page, data, { judged: (answer) => { takeIn(answer); undone("The limits count from now on."); } });
  let view = "sheet";
  let at = -1; // place among those that went farthest

  function undone(sentence) {
    const button = document.querySelector("[data-undo-button]");
    if (button) button.disabled = false;
    say(sentence);
  }

  function aside(part) {
    for (const section of page.querySelectorAll("[data-aside]")) section.hidden = section.dataset.aside !== part;
  }

  function openCard(effect, photo) {
    if (view !== "sheet") show("sheet");
    aside("card");
    column.close();
    card.open(effect, photo);
    grid.mark(keyOf(effect, photo));
    remember();
  }

  function openColumn(effect) {
    card.close();
    aside("column");
    column.open(effect);
    grid.mark("");
    remember();
  }

  function closeAside() {
    card.close();
    column.close();
    aside(view === "alike" ? "alike" : "overview");
    grid.mark("");
    remember();
    if (view === "sheet") grid.focus();
  }

  /** The address says what is open, so that a page loaded anew shows the same. */
  function remember() {
    const parts = new URLSearchParams();
    if (view !== "sheet") parts.set("view", view);
    if (card.isOpen) parts.set("cell", keyOf(card.effect, card.photo));
    history.replaceState(null, "", parts.size > 0 ? `#${parts}` : location.pathname);
  }

  function show(next) {
    view = next;
    for (const button of page.querySelectorAll("[data-view]")) button.setAttribute("aria-pressed", String(button.dataset.view === next));
    for (const part of page.querySelectorAll("[data-in]")) part.hidden = part.dataset.in !== next;
    for (const tools of page.querySelectorAll("[data-tools]")) tools.hidden = tools.dataset.tools !== next;
    closeAside();
    if (next === "alike") alike.open();
    if (next === "changed") changed.open();
  }

  function takeIn(answer) {
    const before = sheet.cells;
    const whole = Boolean(answer.rows);
    sheet = taken(sheet, answer);
    const shape = whole || sheet.look.wanted !== "all" || sheet.look.order === "worst";
    if (shape) redraw();
    else grid.refresh(sheet, [...sheet.cells].filter(([key, cell]) => before.get(key) !== cell).map(([key]) => key));
    told();
  }

  function redraw() {
    grid.show(sheet);
    find("none").hidden = grid.laid.rows.length > 0 && grid.laid.columns.length > 0;
  }

  function told() {
    const { counts, words } = tally(sheet.cells.values());
    find("tally").textContent = words || (sheet.cells.size > 0 ? "Every proof is within its limits, or accepted." : "");
    find("tally-over").textContent = `${counts.over} over`;
    find("tally-near").textContent = `${counts.near} near`;
    find("farthest").replaceChildren(...farthestList(farthest(sheet.cells), sheet.cells, names, measures, openFar));
  }

  function openFar(effect, photo) {
    if (!grid.laid.rows.some((p) => p.id === photo) || !grid.laid.columns.some((e) => e.id === effect)) wish({ wanted: "all", photos: "", section: "" });
    grid.go(effect, photo);
    openCard(effect, photo);
  }

  function wish(change) {
    sheet = looking(sheet, change);
    for (const button of page.querySelectorAll("[data-wanted]")) button.setAttribute("aria-pressed", String(button.dataset.wanted === sheet.look.wanted));
    for (const button of page.querySelectorAll("[data-size]")) button.setAttribute("aria-pressed", String(button.dataset.size === sheet.look.size));
    for (const select of page.querySelectorAll("[data-look]")) select.value = sheet.look[select.dataset.look];
    redraw();
  }

  async function showMeasure(id) {
    try {
      const { values } = id ? await send("GET", `${address}/measures/${id}`) : { values: [] };
      sheet = measured(sheet, id, values);
      redraw();
    } catch (error) {
      sayFault(error);
    }
  }

  async function look() {
    const answer = await send("GET", `${address}?since=${sheet.since}`);
    takeIn(answer);
    const { job } = answer;
    const whole = sheet.done >= sheet.total;
    find("progress").max = Math.max(1, sheet.total);
    find("progress").value = sheet.done;
    find("progress").hidden = !job?.open;
    const how = job?.state === "failed" ? ", failed" : ", stopped";
    find("count").textContent = job?.open
      ? job.state === "waiting" ? "Waits until what runs is done" : `${sheet.done} of ${sheet.total}`
      : `${sheet.done} of ${sheet.total} proofs${whole ? "" : how}`;
    find("count").title = job?.open ? timeLeft(job.secondsLeft).replace(", ", "") : "";
    find("faults").replaceChildren(...(job?.faults ?? []).slice(0, 5).map((f) => Object.assign(document.createElement("li"), { textContent: f })));
    find("stop").hidden = !job?.open;
    find("start").hidden = job?.open || whole;
    return job;
  }

  async function watch() {
    try {
      while ((await look())?.open) await new Promise((wait) => setTimeout(wait, POLL_MS));
      if (sheet.look.measure) await showMeasure(sheet.look.measure);
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

  /** Everything as it is now, as after another verdict. */
  async function again() {
    takeIn(await send("GET", `${address}?since=-1`));
    undone("");
  }

  /** Renders the column of an effect anew that is another now. */
  async function remake() {
    await again();
    await begin();
  }

  async function keep(as) {
    try {
      const { job } = await send("POST", `${address}/keep`, { as });
      begun();
      const ended = await follow(job, (now) => (find("count").textContent = now.open ? howFar(now) : ""));
      if (ended.result) fetchResult(ended);
      else say([ended.said, ...ended.faults].filter(Boolean).join(" "), { fault: true });
      await look();
    } catch (error) {
      sayFault(error);
    }
  }

  async function approve() {
    try {
      const what = await found({ search: "approve", kit: data.kit }, (how) => (find("count").textContent = how));
      await look();
      if (what?.approved) undone("This sheet is approved: what moves from now on is shown under “Changed”.");
      else say("The sheet was not approved: a part of it could not be kept.", { fault: true });
      if (view === "changed") changed.open();
    } catch (error) {
      sayFault(error);
    }
  }

  /** Goes to the next of those that went farthest over their limits, or to the one before. */
  function goOn(step) {
    const list = farthest(sheet.cells);
    if (list.length === 0) return;
    at = (at + step + list.length) % list.length;
    openFar(...list[at].split(":").map(Number));
  }

  async function tellFacts() {
    for (let whole = false; !whole; ) {
      const answer = await send("GET", "/api/wall");
      grid.tell(answer.lines);
      whole = answer.whole;
      if (!whole) await new Promise((wait) => setTimeout(wait, FACTS_MS));
    }
  }

  function choices() {
    find("look='measure'").append(...data.measures.map((m) => new Option(m.label, m.id)));
    find("look='section'").append(...data.sections.map(([id, name]) => new Option(name, id)));
    const { tags, regions } = photoChoices(sheet);
    for (const [kind, label, list] of [["tag", "Tagged", tags], ["region", "With", regions]]) {
      if (list.length === 0) continue;
      const group = Object.assign(document.createElement("optgroup"), { label });
      group.append(...list.map((name) => new Option(name, `${kind}:${name}`)));
      find("look='photos'").append(group);
    }
  }

  choices();
  for (const button of page.querySelectorAll("[data-view]")) button.addEventListener("click", () => show(button.dataset.view));
  for (const button of page.querySelectorAll("[data-wanted]")) button.addEventListener("click", () => wish({ wanted: button.dataset.wanted }));
  for (const button of page.querySelectorAll("[data-size]")) button.addEventListener("click", () => wish({ size: button.dataset.size }));
  for (const select of page.querySelectorAll("[data-look]")) {
    const { look: name } = select.dataset;
    select.addEventListener("change", () => (name === "measure" ? showMeasure(select.value) : wish({ [name]: select.value })));
  }
  partsOf(page);
  for (const button of document.querySelectorAll("[data-keep]")) button.addEventListener("click", () => { button.closest("details").open = false; keep(button.dataset.keep); });
  for (const button of document.querySelectorAll("[data-approve]")) button.addEventListener("click", approve);
  find("start").addEventListener("click", begin);
  find("stop").addEventListener("click", () => send("POST", `${address}/stop`).catch(sayFault));
  listen([
    { keys: ["n"], says: "the next proof that is farthest over its limit", run: () => goOn(1) },
    { keys: ["b"], says: "the one before", run: () => goOn(at < 0 ? 0 : -1) },
    { keys: ["p"], says: "the plain photo of the card while held", run: () => card.look.hold(true), up: () => card.look.hold(false) },
    { keys: ["escape"], says: "close the card", run: closeAside },
    { keys: ["o"], says: "open the proof of the card at the bench", run: () => card.isOpen && find("card-bench").click() },
  ]);

  async function first() {
    const job = await look();
    const wanted = new URLSearchParams(location.hash.slice(1));
    if (wanted.get("view")) show(wanted.get("view"));
    if (wanted.get("cell")) openFar(...wanted.get("cell").split(":").map(Number));
    tellFacts().catch(sayFault);
    if (job && ["stopped", "failed", "cut off"].includes(job.state)) await watch();
    else await begin();
  }
  first().catch(sayFault);
}

if (find("grid")) start();
