// The bench: an effect is built veil by veil on a photo. Views and how they hang together.
import { listenExports } from "../../base/web/exports.js";
import { inNextFrame } from "../../base/web/frames.js";
import { send } from "../../base/web/http.js";
import { listen } from "../../base/web/keys.js";
import { watch } from "../../base/web/leaving.js";
import { listenUndo, savedLine, showUndo } from "../../base/web/saved-line.js";
import { room } from "../../base/web/room.js";
import { say } from "../../base/web/say.js";
import { takeBackIn } from "../../base/web/take-back.js";
import { Handles } from "../../photo/stage/handles.js";
import { hiddenHint } from "../../photo/stage/hint.js";
import { Painting } from "../../photo/stage/painting.js";
import { Live } from "../../photo/readings/live.js";
import { Rail } from "../../wear/rail/rail.js";
import { beside } from "./beside.js";
import { changedBy, cloths, counted } from "./effect.js";
import { handlesOf } from "./handles.js";
import { hanging } from "./hanging.js";
import { Held } from "./held.js";
import { benchKeys } from "./keys.js";
import { wayWords } from "./looking.js";
import { Marked } from "./marked.js";
import { benchStage, benchTrace } from "./on-stage.js";
import { veilPanel } from "./panel.js";
import { Selection } from "./selection.js";
import { underneath } from "./under.js";
import { listenVariants } from "./variants.js";
import { Wall } from "./wall.js";
import { Words } from "./words.js";

const root = document.querySelector("[data-bench]");
const find = (name) => document.querySelector(`[data-${name}]`);
const around = room(root, "bench");
const column = beside(find("beside"));
const state = JSON.parse(root.dataset.state);
const kinds = new Map(state.kinds.map((k) => [k.id, k]));
const wall = new Wall(find("photos"), state.photo, { chosen: choosePhoto });
const showSoon = inNextFrame(show);
const marked = new Marked();

let panel = null; // of the open veil
let plainTones = null;
let painting = null;

const held = new Held(state, savedLine, {
  show,
  showSoon,
  hint,
  redraw(moving) {
    stage.refresh(moving);
    trace.changed();
  },
  refresh: () => stage.refresh(),
  another: () => stage.another(),
  photo: () => wall.photo,
  onPhoto: () => ({ photo: wall.photo.id, ...base.body }),
  stroke: () => painting?.shown,
  painted: (answer) => painting.take(answer),
  promises: (list) => words.promise(list),
  opened,
  dropped: (name, edit) => say(`“${name}” was dropped.`, { action: () => undo(false, edit) }),
});
const { store, api } = held;
watch(store);
const take = (fn, label) => held.take(fn, label);
const open = (id) => held.open(id);
const peek = (effect, said) => held.peek(effect, said);
const { stage, body } = benchStage(root, held, {
  ...{ find, wall, marked },
  painting: () => painting,
  plain(tones) {
    plainTones = tones;
    panel?.tones(plainTones);
  },
  finished: () => live.changed(),
});
painting = new Painting(stage, store, api, state.painted, {
  veil: () => held.brushed.id,
  photo: () => wall.photo,
  shown: () => held.showAnew(),
});
const handles = new Handles(stage);
const words = new Words(find, state, take);
const live = new Live(find, () => `${api}/render`, body, state.limits);
const trace = benchTrace(find("trace"), stage, held, () => base);
const base = underneath(find("under"), state, () => {
  stage.another();
  trace.changed();
});
const selection = new Selection(find("selection"), { effect: () => held.effect, take, changed: () => show() });
const rail = new Rail(find("veils"), {
  pick(id) {
    selection.clear();
    open(held.openId === id ? null : id);
  },
  select: (id, range) => selection.toggle(id, range),
  hem: (id, opacity, rests) => held.opacity(id, opacity, rests),
  move: (id, index) => held.move(id, index),
});
const { button: hang, chooser } = hanging(find("kinds"), state, kinds, {
  address: `${api}/render`,
  request: () => held.views.onPhoto(),
  effect: () => held.effect,
  openId: () => held.openId,
  ...{ take, open, peek },
});
find("veils").append(hang);

/** Shows the panel of a veil that was opened; the same side of it where it was open already. */
function opened(id) {
  const side = id === panel?.id ? panel.side : "Settings";
  panel = held.veilOf(id) ? panelOf(id, side) : null;
  if (plainTones) panel?.tones(plainTones);
}

function panelOf(id, side) {
  const made = veilPanel(id, side, state, {
    ...{ stage, painting, take, close, undo, peek },
    veilOf: (of) => held.veilOf(of),
    lift: (of) => held.lift(of),
    drop: (of) => held.drop(of),
    effect: () => held.effect,
    kindOf: (v) => kinds.get(v.kind),
    look: (way) => held.see(way),
    side: () => panel && showHandles(),
  });
  return Object.assign(made, { id });
}

function pickVeil(id) {
  if (id) open(id);
  rail.focus(id);
}

/** Closes the open veil; the keys go back to its cloth. */
function close() {
  const id = column.root.contains(document.activeElement) && held.openId;
  open(null);
  if (id) rail.focus(id);
}

function showHandles() {
  const veil = panel && held.veilOf(held.openId);
  const takeOf = (of, what) => take((e) => changedBy(e, veil.id, of), what && `${what} of ${veil.name}`);
  handles.show(veil ? handlesOf(veil, kinds.get(veil.kind), state.masks.kinds, panel.side, takeOf) : []);
}

function show() {
  const { openId, way } = held.fit();
  const { effect, brushed: under } = held;
  if (!openId) panel = null;
  const isPicked = (id) => selection.has(id);
  rail.show(cloths(effect, kinds, isPicked), openId);
  column.show(panel?.element ?? null);
  const painted = painting.has(under?.id);
  panel?.show(held.veilOf(openId), { painted, way, effect });
  showHandles();
  painting.armFor(under);
  stage.maskButton(painted || marked.has(openId) || (under !== undefined && under.mask.cover !== "everywhere"));
  hint();
  find("rail-count").textContent = counted(effect);
  hang.hidden = effect.veils.length >= state.maxVeils;
  words.show(effect);
}

/** What is looked at, in words; and what to do first, by the brush. */
function hint(said) {
  const under = held.brushed;
  painting.brush.hint(under && !painting.has(under.id) && under.mask.cover === "brush-on" ? hiddenHint(under) : "");
  stage.label(said || wayWords(held.page.way, held.veilOf(held.openId)));
}

async function undo(redo, edit) {
  const photo = wall.photo.id;
  const answer = await takeBackIn(store, send, `${api}/undo?photo=${photo}`, { redo, ...(edit && { edit }) });
  if (!answer) return;
  say(answer.said);
  open(held.veilOf(held.openId) ? held.openId : null); // its editors begin anew with what came back
}

async function choosePhoto(next) {
  painting.brush.finish();
  plainTones = null;
  history.replaceState(null, "", `/bench/${state.id}?photo=${next.id}`);
  wall.showLinks();
  painting.forget();
  show();
  stage.another();
  const answer = await store.ask(() => held.onPhoto(next));
  if (answer && wall.photo === next) held.views.redraw();
}

const settled = () => store.settled();
listenVariants(column, find("variants-open"), api, { effect: () => held.effect, saved: settled, peek, take });
listenUndo(undo);
const exported = (format) => `${api}/export?photo=${wall.photo.id}&format=${format}`;
listenExports(document.querySelectorAll("[data-format]"), exported);
listen(
  benchKeys({
    ...{ stage, painting, selection, chooser, trace, around, column, undo, marked, close },
    see: (way) => held.see(way),
    pick: (place) => pickVeil(held.effect.veils[place]?.id),
    openId: () => held.openId,
    lift: () => held.lift(held.openId),
    drop: () => held.drop(held.openId),
    neighbour: (step) => wall.neighbour(step),
    seeAgain: () => held.page.way === "without" && held.see("all"),
  }),
);

showUndo(state.undo);
wall.showLinks();
show();
if (!wall.goOn()) stage.refresh();
marked.begin(stage);
