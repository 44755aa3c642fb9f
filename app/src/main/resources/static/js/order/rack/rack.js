// The page of a kit: a rack. What is done is sent and answered with the whole rack; the page is never
// loaded anew for it.
import { send } from "../../base/web/http.js";
import { newName } from "../../base/web/names.js";
import { picked } from "../../base/web/picked.js";
import { showUndo } from "../../base/web/saved-line.js";
import { say, sayFault } from "../../base/web/say.js";
import { takeBack } from "../../base/web/take-back.js";
import { leaveTo } from "../../base/web/leaving.js";
import { isTyping } from "../../base/web/typing.js";
import { Beside } from "./beside.js";
import { Carrying } from "./carrying.js";
import { dialogs } from "./dialogs.js";
import { Dragging } from "./dragging.js";
import { Health } from "./health.js";
import { mends, removedSwatch } from "./mending.js";
import { besides } from "./moves.js";
import { effectOf, hanging, inSight, left, pickedWords, put, sectionPut } from "./rack-state.js";
import { rackKeys } from "./rack-keys.js";
import { pointing } from "./pointing.js";
import { Rails } from "./rails.js";
import { renamed } from "./renaming.js";
import { seriesOf } from "./series.js";
import { Side } from "./side.js";
import { chooseShown } from "./wall-choice.js";

const page = document.querySelector("[data-rack]");
const data = JSON.parse(page.dataset.state);
const kit = data.kit.id;
const find = (name) => page.querySelector(`[data-${name}]`);
const own = `rack-${kit}`; // what this browser remembers of the page

let rack = data;
const kept = JSON.parse(localStorage.getItem(own) ?? "{}");
const look = { photo: kept.photo, picked: new Set(), active: 0, size: localStorage.getItem("rack-size") ?? "medium" };
let last = null; // the one that was picked before
let pointed = 0;
let waiting = Promise.resolve();

const rails = new Rails(find("sections"), Object.fromEntries(data.rules.map((r) => [r.id, r.label])), Object.fromEntries(data.marks.map((m) => [m.id, m])));
const beside = new Beside(find("beside"), { kit });
const side = new Side(page, data.others);
const health = new Health(find("health"), {
  kit,
  photos: () => rack.photos.map((p) => p.id),
  pick: (ids) => {
    pick(new Set(ids), ids[0]);
    rails.focus(ids[0]);
  },
  mend: (ill, ids) => mending[ill](ids),
  section: (id) => acted("sections/remove", { section: id }, true),
  swatch: (swatch) => removedSwatch(swatch, kit).then(take, sayFault),
  dial: (dial) => acted("dial-off", dial),
});

function photo() {
  return rack.photos.some((p) => p.id === look.photo) ? look.photo : (rack.cover || rack.photos[0]?.id || 0);
}

function draw(shown = rack) {
  const now = { ...look, photo: photo() };
  rails.show(shown, now);
  side.show(rack, now.photo);
  showBeside();
  health.show(rack);
  const n = look.picked.size;
  find("picked").hidden = n < 2;
  find("picked-count").textContent = `${n} picked`;
  find("none").hidden = rack.sections.length > 0;
  page.dataset.size = look.size;
  for (const button of page.querySelectorAll("[data-size]")) button.setAttribute("aria-pressed", String(button.dataset.size === look.size));
}

function showBeside() {
  beside.show(rack, { ...look, photo: photo() }, pointed || look.active);
}

function take(state) {
  rack = { ...rack, ...state };
  look.picked = left(rack, look.picked);
  if (!effectOf(rack, look.active)) look.active = nearby() ?? 0;
  showUndo(rack);
  draw();
  if (state.said) say(state.said, state.undone && { action: () => undo(false, state.edit) });
}

/** What hangs where the last active one hung. */
function nearby() {
  const order = hanging(rack);
  return order[Math.min(look.place ?? 0, order.length - 1)];
}

/** Sends an act; the next one waits for its answer. What it threw is given on. */
function act(path, body, undoes = false) {
  const name = newName();
  const run = async () => take({ ...(await send("POST", `/api/rack/${kit}/${path}`, body, name)), undone: undoes });
  const done = waiting.then(run, run);
  waiting = done.catch(() => {});
  return done;
}

const lookAgain = () => send("GET", `/api/rack/${kit}`).then(take, draw);

/** The same for acts that nothing waits for: a refusal is said, and the rack drawn as it is stored. */
const acted = (path, body, undoes) =>
  act(path, body, undoes).catch((error) => {
    sayFault(error);
    return lookAgain();
  });

const open = dialogs({ act, rack: () => rack, data, kit });

/** Stands in one line with the acts: two that follow each other quickly are answered in their order. */
function undo(redo, edit) {
  const run = async () => {
    const answer = await takeBack((q) => send("POST", `/api/rack/${kit}/undo?${q}`), { redo, ...(edit && { edit }) });
    if (answer) take(answer);
  };
  waiting = waiting.then(run).catch(sayFault);
  return waiting;
}

function pick(next, active = look.active) {
  look.picked = next;
  look.active = active;
  look.place = hanging(rack).indexOf(active);
  draw();
}

/** What acts are for: all that is picked, or the one that has the focus. */
const them = () => (look.picked.size > 0 ? look.picked : new Set(look.active ? [look.active] : []));
const list = (ids) => hanging(rack).filter((id) => ids.has(id));

function place(ids, section, before) {
  rack = put(rack, ids, section, before);
  draw();
  acted("move", { effects: list(ids), section, ...(before !== null && { before }) });
}

const carrying = new Carrying({
  show: (shown) => {
    rails.show(shown, { ...look, photo: photo() });
    rails.focus(look.active);
  },
  told: (words) => (find("told").textContent = words),
  words: (ids) => pickedWords(rack, ids),
  place: (ids, section, before) => {
    place(ids, section, before);
    rails.focus(look.active);
  },
});

new Dragging(page, find("rails"), rails, {
  begin(id) {
    if (!look.picked.has(id)) pick(new Set([id]), id);
    return look.picked;
  },
  drop: place,
  away: (ids, section) => acted("move", { effects: list(ids), section }, true),
  box: (ids, add) => pick(new Set([...(add ? look.picked : []), ...ids]), ids[0] ?? look.active),
  section(id, before) {
    rack = sectionPut(rack, id, before);
    draw();
    acted("sections/place", { section: id, ...(before !== null && { before }) });
  },
});

const toBench = (id) => leaveTo(`/bench/${id}${photo() ? `?photo=${photo()}` : ""}`);

const ACTS = {
  shown: () => chooseShown(data.wall, { rack: () => rack, act: (path, body) => acted(path, body) }),
  ...Object.fromEntries(["section", "duplicate", "merge"].map((name) => [name, () => open[name]()])),
  move: () => open.move(list(them()), pickedWords(rack, them())),
  copy: () => open.copy(list(them()), pickedWords(rack, them())),
  tag: () => open.tag(list(them())),
  mark: () => open.mark(list(them())),
  split: () => open.split(list(them()), pickedWords(rack, them())),
  lite: () => open.lite(list(them()), pickedWords(rack, them())),
  favour: () => acted("favour", { effects: list(them()), on: list(them()).some((id) => !effectOf(rack, id).favourite) }),
  remove: () => acted("remove", { effects: list(them()) }, true),
  none: () => pick(new Set()),
  "favour-one": () => acted("favour", { effects: [shownId()], on: !effectOf(rack, shownId()).favourite }),
  "tag-one": () => open.tag([shownId()]),
  "rename-one": () => rename(shownId()),
  "variant-one": () => variant(shownId()),
  "series-one": () => seriesOf(effectOf(rack, shownId()), { photo: photo(), made: take }).catch(sayFault),
  "update-one": () => mending.OLDER([shownId()]),
  "let-go-one": () => acted("let-go", { effects: [shownId()] }),
};

const shownId = () => pointed || look.active;

const mending = mends({ kit, open, toBench, rename, act, effect: (id) => effectOf(rack, id), photo });

async function variant(id) {
  try {
    leaveTo((await send("POST", `/api/effects/${id}/variant`)).go);
  } catch (error) {
    sayFault(error);
  }
}

function rename(id) {
  const piece = rails.pieces.get(id);
  if (!piece) return;
  renamed(piece.querySelector(".piece-name"), effectOf(rack, id).name, (name) => act("rename", { effect: id, name }), () => rails.focus(id));
}

page.addEventListener("click", (event) => {
  const button = event.target.closest("button");
  if (button?.dataset.rackAct) return ACTS[button.dataset.rackAct]();
  if (button?.dataset.size) return resize(button.dataset.size);
  if (button?.dataset.photo) return turn(Number(button.dataset.photo));
  if (button?.dataset.untag) return acted("tag", { effects: [shownId()], tag: button.dataset.untag, on: false });
  if (button?.dataset.toSection) return find("sections").querySelector(`[data-section="${button.dataset.toSection}"]`).scrollIntoView({ block: "start", behavior: "smooth" });
  if (button?.dataset.sectionAct) return ofSection(button);
  const piece = event.target.closest("[data-effect]");
  if (piece && !isTyping(event.target)) clicked(event, Number(piece.dataset.effect));
  else if (event.target.closest("[data-rails]") && !button && look.picked.size > 0) pick(new Set());
});

for (const button of document.querySelectorAll(".top [data-rack-act]")) button.addEventListener("click", () => ACTS[button.dataset.rackAct]());

function clicked(event, id) {
  const how = { ctrl: event.ctrlKey || event.metaKey, shift: event.shiftKey, last };
  const next = how.ctrl || how.shift ? picked(look.picked, inSight(rack), id, how) : new Set([id]);
  if (!how.shift) last = id;
  pick(next, id);
  rails.focus(id);
}

page.addEventListener("dblclick", (event) => {
  const piece = event.target.closest("[data-effect]");
  if (piece && !isTyping(event.target)) toBench(Number(piece.dataset.effect));
});

pointing(page, () => pointed, (next) => {
  pointed = next;
  showBeside();
});

find("sections").addEventListener("focusin", ({ target }) => {
  const id = Number(target.closest("[data-effect]")?.dataset.effect ?? look.active);
  if (id !== look.active) pick(look.picked, id);
});

function ofSection(button) {
  const section = rack.sections.find((s) => s.id === Number(button.closest("[data-section]").dataset.section));
  const run = { fold: () => acted("sections/fold", { section: section.id, folded: !section.folded }), new: () => open.fresh(section), plan: () => open.plan(section), change: () => open.changeSection(section), remove: () => acted("sections/remove", { section: section.id }, true) };
  run[button.dataset.sectionAct]();
}

function resize(size) {
  localStorage.setItem("rack-size", (look.size = size));
  draw();
}

function turn(id) {
  look.photo = id;
  localStorage.setItem(own, JSON.stringify({ photo: id }));
  draw();
}

const isActive = (id, extend) => {
  pick(extend ? new Set([...look.picked, look.active, id].filter(Boolean)) : look.picked.size > 1 ? look.picked : new Set([id]), id);
  rails.focus(id);
};

function nextPhoto(by) {
  const at = rack.photos.findIndex((p) => p.id === photo());
  if (rack.photos.length > 0) turn(rack.photos.at((at + by) % rack.photos.length).id);
}

rackKeys(page, carrying, {
  lead: (key, extend) => {
    const next = besides(rails.all(), look.active, key);
    if (next) isActive(next, extend);
  },
  open: () => toBench(look.active),
  more: () => pick(picked(look.picked, inSight(rack), look.active, { ctrl: true })),
  none: () => pick(new Set()),
  pickUp: () => carrying.pickUp(rack, them()),
  rename: () => rename(look.active),
  remove: ACTS.remove,
  favour: () => them().size > 0 && ACTS.favour(),
  tag: () => them().size > 0 && ACTS.tag(),
  photo: nextPhoto,
});

for (const [name, redo] of [["undo", false], ["redo", true]]) {
  const button = document.querySelector(`[data-${name}-button]`);
  delete button.dataset.send;
  button.addEventListener("click", () => undo(redo));
}
addEventListener("pageshow", (event) => event.persisted && lookAgain());
addEventListener("blur", () => carrying.isOn && carrying.letGo());
Object.assign(look, { active: hanging(rack)[0] ?? 0, place: 0 });
showUndo(rack);
draw();
page.dataset.ready = "";
