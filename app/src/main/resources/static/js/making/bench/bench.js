// The bench: an effect is built veil by veil on a photo.
import { listenExports } from "../../base/web/exports.js";
import { inNextFrame } from "../../base/web/frames.js";
import { gesture } from "../../base/web/gesture.js";
import { send } from "../../base/web/http.js";
import { listen } from "../../base/web/keys.js";
import { watch } from "../../base/web/leaving.js";
import { listenUndo, savedLine, showUndo } from "../../base/web/saved-line.js";
import { Store } from "../../base/web/store.js";
import { say } from "../../base/web/say.js";
import { takeBackIn } from "../../base/web/take-back.js";
import { Handles } from "../../photo/stage/handles.js";
import { hiddenHint } from "../../photo/stage/hint.js";
import { Stage } from "../../photo/stage/stage.js";
import { Rail } from "../../wear/rail/rail.js";
import { readyBeside } from "../../photo/photos/ready.js";
import { showTones } from "../../photo/readings/histogram.js";
import { showSpot } from "../../photo/readings/spot.js";
import { Live } from "../../photo/readings/live.js";
import { Trace } from "../../photo/readings/trace.js";
import { room } from "../../base/web/room.js";
import { beside } from "./beside.js";
import { changed, changedBy, cloths, counted, dropped, placedAt } from "./effect.js";
import { Marked } from "./marked.js";
import { handlesOf } from "./handles.js";
import { hanging } from "./hanging.js";
import { benchKeys } from "./keys.js";
import { wayWords } from "./looking.js";
import {
  begun,
  brushed as brushedNow,
  fitted,
  opened,
  peekedAt,
  request as requested,
  seen,
  veilOf as veilIn,
} from "./page-state.js";
import { Words } from "./words.js";
import { Painting } from "../../photo/stage/painting.js";
import { veilPanel } from "./panel.js";
import { Selection } from "./selection.js";
import { underneath } from "./under.js";
import { listenVariants } from "./variants.js";
import { Wall } from "./wall.js";

const root = document.querySelector("[data-bench]");
const find = (name) => document.querySelector(`[data-${name}]`);
const around = room(root, "bench");
const column = beside(find("beside"));
const state = JSON.parse(root.dataset.state);
const api = `/api/effects/${state.id}`;
const kinds = new Map(state.kinds.map((k) => [k.id, k]));
const wall = new Wall(find("photos"), state.photo, { chosen: choosePhoto });

let effect = state.effect; // as it is shown: what the store holds
let page = begun(); // what the page shows beside it
let panel = null; // of the open veil
let plainTones = null;
const marked = new Marked();

const veilOf = (id) => veilIn(effect, id);
const brushed = () => brushedNow(page, effect);

const store = new Store(
  state,
  "effect",
  {
    put: (body, name) => send("PUT", api, { ...body, photo: wall.photo.id }, name),
    get: () => send("GET", `${api}?photo=${wall.photo.id}`),
    gesture,
  },
  savedLine(took, () => store.retry(), redraw),
);
watch(store);
const stage = new Stage(
  root.querySelector("[data-stage]"),
  root.querySelector("[data-looks]"),
  {
    address: `${api}/render`,
    photo: () => wall.photo,
    body: () => (painting?.storing ? null : request()),
    maskBody: () => (painting.storing ? null : marked.body(request(), page.openId, effect)),
  },
  {
    finished(shot) {
      showTones(find, shot.head);
      if (!painting.shown) stage.paintUnderHand(null);
      live.changed();
    },
    plain(shot) {
      plainTones = shot.head;
      panel?.tones(plainTones);
    },
    photo: () => readyBeside(wall.photos, wall.photo, stage.longSide),
    spot: (point) => showSpot(find("spot"), find("spot-figures"), point && stage.readAt(point.x, point.y)),
  },
);
const painting = new Painting(stage, store, api, state.painted, {
  veil: () => brushed().id,
  photo: () => wall.photo,
  shown: () => showAnew(),
});
const handles = new Handles(stage);
const words = new Words(find, state, (fn, what) => take(fn, what));
const live = new Live(
  find,
  () => `${api}/render`,
  () => (painting.storing ? null : request()),
  state.limits,
);
const trace = new Trace(
  find("trace"),
  stage,
  {
    address: `${api}/trace`,
    body: () => ({ ...onPhoto(), effect }),
    named: ({ bundle }) => (bundle === 0 ? base.name : ""),
  },
  {
    flash: (step) => peek(step && changed(effect, step.veil, { lifted: true }), step && `Without “${step.name}”`),
    open: (step) => veilOf(step.veil) && open(step.veil),
  },
);

const onPhoto = () => ({ photo: wall.photo.id, ...base.body });
const request = () => requested(page, effect, onPhoto(), painting.shown);

/** Shows an effect on the stage without taking it; null for the one that is there. */
function peek(other, words = "") {
  if (!other && !page.peeked) return;
  page = peekedAt(page, other);
  hint(words);
  stage.another();
}

/** Changes the effect by a function of it; stores that where a label says what was done. */
function take(fn, label) {
  const stored = label ? store.change(fn, label) : store.hold(fn);
  effect = store.doc;
  page = peekedAt(page, null);
  if (label) show();
  else showSoon();
  stage.refresh(!label);
  trace.changed();
  return stored;
}

/** A state as it is stored, taken whole. */
function took(answer, differs) {
  const painted = painting.take(answer);
  words.promise(answer.promises);
  effect = store.doc;
  if (differs || painted) (show(), redraw()); // else what is being typed stays
}

/** Asks anew for the picture and for what is told of it. */
function redraw() {
  stage.refresh();
  trace.changed();
}

const base = underneath(find("under"), state, () => {
  stage.another();
  trace.changed();
});
const selection = new Selection(find("selection"), { effect: () => effect, take, changed: () => show() });

const rail = new Rail(find("veils"), {
  pick(id) {
    selection.clear();
    open(page.openId === id ? null : id);
  },
  select: (id, range) => selection.toggle(id, range),
  hem(id, opacity, rests) {
    take((e) => changed(e, id, { opacity }), rests && `opacity of ${veilOf(id).name}`);
  },
  move(id, index) {
    if (effect.veils[index]?.id !== id) take((e) => placedAt(e, id, index), `move ${veilOf(id).name}`);
  },
});

const { button: hang, chooser } = hanging(find("kinds"), state, kinds, {
  address: `${api}/render`,
  request: onPhoto,
  effect: () => effect,
  openId: () => page.openId,
  peek,
  take,
  open,
});
find("veils").append(hang);

function open(id) {
  const side = id === page.openId && panel ? panel.side : "Settings";
  page = opened(page, id);
  panel = null;
  const veil = id && veilOf(id);
  if (veil) {
    panel = veilPanel(id, side, state, {
      ...{ stage, painting, take, veilOf, lift, drop, peek, close, undo },
      effect: () => effect,
      kindOf: (v) => kinds.get(v.kind),
      look: see,
      side: () => panel && showHandles(),
    });
    if (plainTones) panel.tones(plainTones);
  }
  showAnew();
}

/** Closes the open veil; the keys go back to its cloth. */
function close() {
  const id = column.root.contains(document.activeElement) && page.openId;
  open(null);
  if (id) rail.focus(id);
}

/** Another way to look at the open veil. */
function see(way) {
  page = seen(page, way);
  showAnew();
}

const showAnew = () => (show(), stage.refresh());

function showHandles() {
  const veil = panel && veilOf(page.openId);
  const takeOf = (of, what) => take((e) => changedBy(e, veil.id, of), what && `${what} of ${veil.name}`);
  handles.show(veil ? handlesOf(veil, kinds.get(veil.kind), state.masks.kinds, panel.side, takeOf) : []);
}

function lift(id) {
  const veil = veilOf(id);
  if (veil) take((e) => changed(e, id, { lifted: !veil.lifted }), `${veil.lifted ? "let down" : "lift"} ${veil.name}`);
}

async function drop(id) {
  const veil = veilOf(id);
  const stored = veil && (await take((e) => dropped(e, id), `drop ${veil.name}`));
  if (stored) say(`“${veil.name}” was dropped.`, { action: () => undo(false, stored.undo.edit) });
}

const showSoon = inNextFrame(show);
function show() {
  page = fitted(page, effect);
  const { openId, way } = page;
  if (!openId) panel = null;
  rail.show(
    cloths(effect, kinds, (id) => selection.has(id)),
    openId,
  );
  column.show(panel?.element ?? null);
  const under = brushed();
  const painted = painting.has(under?.id);
  panel?.show(veilOf(openId), { painted, way, effect });
  showHandles();
  painting.armFor(under);
  stage.maskButton(painted || marked.has(page.openId) || (under !== undefined && under.mask.cover !== "everywhere"));
  hint();
  find("rail-count").textContent = counted(effect);
  hang.hidden = effect.veils.length >= state.maxVeils;
  words.show(effect);
}

/** What is looked at, in words; and what to do first, by the brush. */
function hint(words) {
  const under = brushed();
  painting.brush.hint(under && !painting.has(under.id) && under.mask.cover === "brush-on" ? hiddenHint(under) : "");
  stage.label(words || wayWords(page.way, veilOf(page.openId)));
}

async function undo(redo, edit) {
  const photo = wall.photo.id;
  const answer = await takeBackIn(store, send, `${api}/undo?photo=${photo}`, { redo, ...(edit && { edit }) });
  if (!answer) return;
  say(answer.said);
  open(veilOf(page.openId) ? page.openId : null); // its editors begin anew with what came back
}

async function choosePhoto(next) {
  painting.brush.finish();
  plainTones = null;
  history.replaceState(null, "", `/bench/${state.id}?photo=${next.id}`);
  wall.showLinks();
  painting.forget();
  show();
  stage.another();
  const answer = await store.ask(() => send("GET", `${api}?photo=${next.id}`));
  if (answer && wall.photo === next) redraw();
}

listenVariants(column, find("variants-open"), api, { effect: () => effect, saved: () => store.settled(), peek, take });
listenUndo(undo);
listenExports(
  document.querySelectorAll("[data-format]"),
  (format) => `${api}/export?photo=${wall.photo.id}&format=${format}`,
);

listen(
  benchKeys({
    stage,
    painting,
    selection,
    chooser,
    trace,
    around,
    column,
    see,
    undo,
    pick: (place) => effect.veils[place] && (open(effect.veils[place].id), rail.focus(page.openId)),
    openId: () => page.openId,
    marked,
    lift: () => lift(page.openId),
    drop: () => drop(page.openId),
    close,
    neighbour: (step) => wall.neighbour(step),
    seeAgain: () => page.way === "without" && see("all"),
  }),
);

showUndo(state.undo);
wall.showLinks();
show();
if (!wall.goOn()) stage.refresh();
marked.begin(stage);
