// The page of a proof sheet: the sheet itself, look-alikes, pairs and what has changed, with cards and
// limits beside them. Rendering is a job: it goes on when the page is left.
import { send } from "../../base/web/http.js";
import { begun } from "../../base/web/jobs.js";
import { listen } from "../../base/web/keys.js";
import { canUndo } from "../../base/web/saved-line.js";
import { say, sayFault } from "../../base/web/say.js";
import { Alike } from "./alike.js";
import { Card } from "./card.js";
import { Changed } from "./changed.js";
import { Column } from "./column.js";
import { farthestList } from "./farthest.js";
import { Grid } from "./grid.js";
import { keeping } from "./keeping.js";
import { LimitsPanel } from "./limits.js";
import { showProgress, showTally } from "./progress.js";
import { sheetKeys } from "./sheet-keys.js";
import { keyOf, looking, measured, newSheet, remembered, taken } from "./sheet-state.js";
import { listenSheet, showChoices, showLook, showView } from "./sheet-tools.js";
import { tellFacts } from "./wall-facts.js";
import { Together } from "./together.js";
import { farthest } from "../../photo/readings/verdicts.js";

const POLL_MS = 400;
const page = document.querySelector("[data-sheet]");
const data = JSON.parse(page.dataset.state);
const address = `/api/proofs/${data.kit}`;
const find = (name) => page.querySelector(`[data-${name}]`);
const measures = new Map(data.measures.map((m) => [m.id, m]));

function start() {
  let sheet = newSheet(data);
  const names = {
    effect: (id) => sheet.effects.find((e) => e.id === id),
    photo: (id) => sheet.photos.find((p) => p.id === id),
  };
  const grid = new Grid(find("grid"), measures, { open: openCard, column: openColumn });
  const card = new Card(find("card"), names, { changed: remake, judged: again, close: closeAside });
  const column = new Column(find("column"), names, measures, { changed: remake, close: closeAside });
  const alike = new Alike(find("alike"), page, data, { undone });
  new Together(find("together"), data.kit, names, measures);
  const changed = new Changed(find("changed"), data.kit, names, measures, { open: openCard, undone });
  new LimitsPanel(page, data, {
    judged: (answer) => {
      takeIn(answer);
      undone("The limits count from now on.");
    },
  });
  let view = "sheet";
  let at = -1; // place among those that went farthest

  function undone(sentence) {
    canUndo();
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
    remembered(view === "sheet" ? "" : view, card.isOpen ? keyOf(card.effect, card.photo) : "");
  }

  function show(next) {
    view = next;
    showView(page, next);
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
    else
      grid.refresh(
        sheet,
        [...sheet.cells].filter(([key, cell]) => before.get(key) !== cell).map(([key]) => key),
      );
    told();
  }

  function redraw() {
    grid.show(sheet);
    find("none").hidden = grid.laid.rows.length > 0 && grid.laid.columns.length > 0;
  }

  function told() {
    showTally(find, sheet.cells);
    find("farthest").replaceChildren(...farthestList(farthest(sheet.cells), sheet.cells, names, measures, openFar));
  }

  function openFar(effect, photo) {
    if (!grid.laid.rows.some((p) => p.id === photo) || !grid.laid.columns.some((e) => e.id === effect))
      wish({ wanted: "all", photos: "", section: "" });
    grid.go(effect, photo);
    openCard(effect, photo);
  }

  function wish(change) {
    sheet = looking(sheet, change);
    showLook(page, sheet.look);
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
    showProgress(find, sheet, job);
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

  const { keep, approve } = keeping(find("count"), data.kit, {
    look,
    approved() {
      undone("This sheet is approved: what moves from now on is shown under “Changed”.");
      if (view === "changed") changed.open();
    },
  });

  /** Goes to the next of those that went farthest over their limits, or to the one before. */
  function goOn(step) {
    const list = farthest(sheet.cells);
    if (list.length === 0) return;
    at = (at + step + list.length) % list.length;
    openFar(...list[at].split(":").map(Number));
  }

  showChoices(find, data, sheet);
  listenSheet(page, find, { show, wish, showMeasure, keep, approve, begin, address });
  listen(
    sheetKeys({ card, goOn, before: () => goOn(at < 0 ? 0 : -1), closeAside, bench: () => find("card-bench").click() }),
  );

  async function first() {
    const job = await look();
    const wanted = new URLSearchParams(location.hash.slice(1));
    if (wanted.get("view")) show(wanted.get("view"));
    if (wanted.get("cell")) openFar(...wanted.get("cell").split(":").map(Number));
    tellFacts(grid).catch(sayFault);
    if (job && ["stopped", "failed", "cut off"].includes(job.state)) await watch();
    else await begin();
  }
  first().catch(sayFault);
}

if (find("grid")) start();
