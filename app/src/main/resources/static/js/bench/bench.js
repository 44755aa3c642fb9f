// The bench: an effect is built veil by veil on a photo.
import { inNextFrame } from "../web/frames.js";
import { send } from "../web/http.js";
import { listen } from "../web/keys.js";
import { listenUndo, savedLine, showUndo } from "../web/saved-line.js";
import { Saver } from "../web/saver.js";
import { say, sayFault } from "../web/say.js";
import { Handles } from "../stage/handles.js";
import { hiddenHint } from "../stage/hint.js";
import { pickColour } from "../stage/pick.js";
import { Stage } from "../stage/stage.js";
import { Rail } from "../rail/rail.js";
import { clipped, drawHistogram } from "../readings/histogram.js";
import { showSpot } from "../readings/spot.js";
import { Trace } from "../readings/trace.js";
import { changed, described, dialled, doubled, dropped, hung, newVeil, placedAt, setAll, setTo } from "./effect.js";
import { handlesOf } from "./handles.js";
import { benchKeys } from "./keys.js";
import { kindChooser } from "./kinds.js";
import { looked, wayWords } from "./looking.js";
import { openVeil } from "./open-veil.js";
import { Painting } from "./painting.js";
import { Selection } from "./selection.js";
import { askToKeep } from "./swatches.js";
import { Variants } from "./variants.js";
import { Wall } from "./wall.js";

const root = document.querySelector("[data-bench]");
const find = (name) => document.querySelector(`[data-${name}]`);
const state = JSON.parse(root.dataset.state);
const api = `/api/effects/${state.id}`;
const kinds = new Map(state.kinds.map((k) => [k.id, k]));
const wall = new Wall(find("photos"), state.photo, { chosen: choosePhoto });

let effect = state.effect;
let openId = null;
let panel = null;
let way = "all"; // what of the effect is seen
let peeked = null; // an effect that is looked at and not taken
let plainTones = null;

const veilOf = (id) => effect.veils.find((v) => v.id === id);
const newId = () => crypto.randomUUID().slice(0, 8);

const saver = new Saver(state.rev, (rev, next) => send("PUT", api, { rev, ...next }), savedLine((fault) => fault.status === 409));
const stage = new Stage(
  root.querySelector("[data-stage]"),
  root.querySelector("[data-looks]"),
  {
    address: `${api}/render`,
    photo: () => wall.photo,
    body: () => (painting?.storing ? null : request()),
    maskBody: () => (openId && !painting.storing ? { ...request(), effect, mask: openId } : null),
  },
  {
    finished(shot) {
      drawHistogram(find("histogram"), shot.head);
      find("clipped").textContent = clipped(shot.head);
      if (!painting.stroke) stage.paintUnderHand(null);
    },
    plain(shot) {
      plainTones = shot.head;
      panel?.tones(plainTones);
    },
    spot: (point) => showSpot(find("spot"), find("spot-figures"), point && stage.readAt(point.x, point.y)),
  },
);
const painting = new Painting(stage, saver, api, state.paint, {
  veil: () => openId,
  photo: () => wall.photo,
  take(answer) {
    painting.paint = answer.paint;
    take(answer.effect);
    stage.refresh();
  },
  shown() {
    show();
    stage.refresh();
  },
});
const handles = new Handles(stage);
const trace = new Trace(
  find("trace"),
  stage,
  { address: `${api}/trace`, body: () => ({ photo: wall.photo.id, effect }), named: () => "" },
  { flash: (step) => peek(step && changed(effect, step.veil, { lifted: true }), step && `Without “${step.name}”`) },
);

function request() {
  const body = { photo: wall.photo.id, ...(peeked ? { effect: peeked } : looked(effect, openId, way)) };
  return painting.stroke ? { ...body, stroke: painting.stroke, veil: openId } : body;
}

/** Shows an effect on the stage without taking it; null for the one that is there. */
function peek(other, words = "") {
  if (!other && !peeked) return;
  peeked = other;
  hint(words);
  stage.refresh();
}

/** Shows an effect and asks for its picture; stores it where a label says what was done. */
function take(next, label) {
  effect = next;
  peeked = null;
  if (!veilOf(openId)) openId = panel = null;
  if (label) show();
  else showSoon();
  stage.refresh(!label);
  trace.changed();
  if (label) saver.save({ effect, label });
}

const selection = new Selection(find("selection"), {
  effect: () => effect,
  take,
  changed: () => show(),
});

const rail = new Rail(find("veils"), {
  pick(id) {
    selection.clear();
    open(openId === id ? null : id);
  },
  select: (id, range) => selection.toggle(id, range),
  hem(id, opacity, rests) {
    take(changed(effect, id, { opacity }), rests && `opacity of ${veilOf(id).name}`);
  },
  move(id, index) {
    if (effect.veils[index]?.id !== id) take(placedAt(effect, id, index), `move ${veilOf(id).name}`);
  },
});

const hang = Object.assign(document.createElement("button"), { className: "hang", type: "button", textContent: "Hang a veil" });
find("veils").append(hang);
const withNew = (veil) => hung(effect, { ...newVeil(kinds.get(veil.kind), effect, "new"), ...veil, id: "new" }, openId);
const chooser = kindChooser(find("kinds"), hang, state.kinds, {
  address: `${api}/render`,
  body: (veil) => ({ photo: wall.photo.id, effect: withNew(veil) }),
  peek: (veil) => peek(veil && withNew(veil), veil && `With ${kinds.get(veil.kind).label} hung`),
  hang: (kind) => hangNew(newVeil(kind, effect, newId())),
  hangSwatch: ({ name, veil }) => hangNew({ ...veil, name, id: newId() }),
});

function hangNew(veil) {
  take(hung(effect, veil, openId), `hang ${veil.name}`);
  open(veil.id);
}

function open(id) {
  const side = id === openId && panel ? panel.side : "Settings";
  openId = id;
  panel = null;
  way = "all";
  const veil = id && veilOf(id);
  if (veil) {
    panel = openVeil(veil, kinds.get(veil.kind), state.blends, state.masks, side, {
      change: (fields, what) => take(changed(effect, id, fields), `${what} of ${veilOf(id).name}`),
      input: (key, value) => take(setTo(effect, id, key, value)),
      mask: (mask) => take(changed(effect, id, { mask })),
      setting: (key, value, label) => take(setTo(effect, id, key, value), `${label} of ${veilOf(id).name}`),
      start: (values, label) => take(setAll(effect, id, values), `${label} in ${veilOf(id).name}`),
      pick: () => pickColour(stage),
      others: () => effect.veils.filter((v) => v.id !== id),
      copyMask: (from) => painting.copy(veilOf(from), id, () => undo(false)),
      blend: (mode) => peek(mode && changed(effect, id, { blend: mode }), mode && state.blends.find((b) => b.id === mode).label),
      look: see,
      dials: (dials, what) => take(dialled(effect, id, dials), what),
      tryDial: (key, value) => peek(key && setTo(effect, id, key, value), key && "As the dial would make it"),
      note: () => effect.note,
      keep: () => askToKeep(find("keep-swatch"), veilOf(id)),
      side: () => panel && showHandles(),
      lift: () => lift(id),
      double: () => take(doubled(effect, id, newId()), `double ${veilOf(id).name}`),
      drop: () => drop(id),
      close: () => open(null),
      paint: (how) => (how === "clear" ? painting.clear(id) : painting.all(id, how)),
    });
    if (plainTones) panel.tones(plainTones);
    find("veils").style.setProperty("--open-width", `${panel.width + 46}px`);
  }
  show();
  stage.refresh();
}

/** Another way to look; the same one again shows all. */
function see(next) {
  if (!openId) return;
  way = next === way ? "all" : next;
  show();
  stage.refresh();
}

function showHandles() {
  handles.show(panel ? handlesOf(veilOf(openId), kinds.get(veilOf(openId).kind), state.masks.kinds, panel.side, (next, what) => take(changed(effect, openId, next), what && `${what} of ${veilOf(openId).name}`)) : []);
}

function lift(id) {
  const veil = veilOf(id);
  if (veil) take(changed(effect, id, { lifted: !veil.lifted }), `${veil.lifted ? "let down" : "lift"} ${veil.name}`);
}

function drop(id) {
  const veil = veilOf(id);
  if (!veil) return;
  take(dropped(effect, id), `drop ${veil.name}`);
  say(`“${veil.name}” was dropped.`, { action: () => undo(false) });
}

const showSoon = inNextFrame(show);

function show() {
  const items = effect.veils.map((veil) => ({
    ...veil,
    what: described(veil, kinds.get(veil.kind)),
    woven: veil.mask.cover === "brush-on",
    selected: selection.has(veil.id),
  }));
  rail.show(items, openId, panel?.element);
  const veil = veilOf(openId);
  const painted = painting.has(openId);
  panel?.show(veil, { painted, way, dials: effect.dials.filter((d) => d.veil === openId) });
  showHandles();
  const masked = veil !== undefined && veil.mask.cover !== "everywhere";
  const brushed = masked && !veil.lifted;
  if (painting.brush.armed !== brushed) painting.brush.arm(brushed);
  stage.maskButton(masked || painted);
  hint();
  const n = effect.veils.length;
  const up = effect.veils.filter((v) => v.lifted).length;
  find("rail-count").textContent = n === 0 ? "no veil yet" : `${n} ${n === 1 ? "veil" : "veils"}${up ? ` · ${up} lifted` : ""} · drag a hem to set its opacity`;
  hang.hidden = n >= state.maxVeils;
  const note = find("note");
  if (document.activeElement !== note) note.value = effect.note;
}

/** The words over the picture: what is peeked at, how it is looked at, or what to do first. */
function hint(words) {
  const veil = veilOf(openId);
  const hidden = veil && painting.brush.armed && !painting.has(openId) && veil.mask.cover === "brush-on";
  stage.label(words || wayWords(way, veil) || (hidden && !peeked ? hiddenHint(veil) : ""));
}

async function undo(redo) {
  const answer = await saver.queue(() => send("POST", `${api}/undo?redo=${redo}&photo=${wall.photo.id}`));
  if (!answer) return;
  say(answer.said);
  painting.paint = answer.paint;
  const veil = openId;
  effect = answer.effect;
  open(effect.veils.some((v) => v.id === veil) ? veil : null);
  trace.changed();
}

async function choosePhoto(next) {
  plainTones = null;
  history.replaceState(null, "", `/bench/${state.id}?photo=${next.id}`);
  wall.showLinks(state.id);
  try {
    const answer = await send("GET", `${api}?photo=${next.id}`);
    if (wall.photo !== next) return;
    painting.paint = answer.paint;
    show();
    stage.refresh();
    trace.changed();
  } catch (error) {
    sayFault(error);
  }
}

if (find("variants")) {
  const variants = new Variants(find("variants"), api, { effect: () => effect, saved: () => saver.settled(), peek, take });
  find("variants-open").addEventListener("click", () => variants.open());
}
listenUndo(undo);
find("note").addEventListener("change", (event) => take({ ...effect, note: event.target.value }, "note"));

listen(
  benchKeys({
    stage,
    painting,
    selection,
    chooser,
    trace,
    see,
    undo,
    pick: (place) => effect.veils[place] && open(effect.veils[place].id),
    openId: () => openId,
    lift: () => lift(openId),
    drop: () => drop(openId),
    close: () => open(null),
    neighbour: (step) => wall.neighbour(step),
    seeAgain: () => way === "without" && see("all"),
  }),
);

showUndo(state.undo);
wall.showLinks(state.id);
show();
stage.refresh();
