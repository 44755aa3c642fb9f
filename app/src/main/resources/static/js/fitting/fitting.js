// The fitting room: effects of a kit or a release, worn by one photo.
import { listenExports } from "../web/exports.js";
import { inNextFrame } from "../web/frames.js";
import { gesture } from "../web/gesture.js";
import { send } from "../web/http.js";
import { listen } from "../web/keys.js";
import { watch } from "../web/leaving.js";
import { listenUndo, savedLine, showUndo } from "../web/saved-line.js";
import { room } from "../web/room.js";
import { Store } from "../web/store.js";
import { say } from "../web/say.js";
import { hiddenHint } from "../stage/hint.js";
import { Stage } from "../stage/stage.js";
import { Rail } from "../rail/rail.js";
import { Trace } from "../readings/trace.js";
import { asking } from "./asking.js";
import { batch } from "./batch.js";
import { Bundle } from "./bundle.js";
import { Card } from "./card.js";
import { keeping } from "./keep.js";
import { fittingKeys } from "./keys.js";
import { Offers } from "./offers.js";
import { Painting } from "./painting.js";
import { Photos } from "./photos.js";
import { Pins } from "./pins.js";
import { coversMost } from "../mask/rules.js";
import { PaintPanel } from "./paint-panel.js";
import { brushTarget, changed, counted, dialled, masked, others, railItem, veilChanged, WHOLE } from "./wearing.js";

const root = document.querySelector("main[data-fitting]");
const find = (name) => document.querySelector(`[data-${name}]`);
const state = JSON.parse(root.dataset.state);
const base = root.dataset.base;
const around = room(root, "fitting");
const api = `/api/fittings/${state.id}`;
const names = new Map(state.names);
const pieces = new Map(state.pieces.map((p) => [p.key, p])); // those that are worn, or were
const kinds = new Map(state.kinds.map((k) => [k.id, k]));
const photos = new Photos(root.querySelector("[data-photos]"), state, base, () => painting.brush.finish());
const { photo } = photos;

let fitting = state.fitting; // as it is shown: what the store holds
let openKey = fitting.worn.at(-1)?.effect ?? null;
let chosen; // what the brush was taken to: id of a veil or of the whole, null to nothing; undefined to what waits for it
let brushed = null; // what it paints then
let trying = null; // key of an effect that is looked at
let peeked = null; // what is looked at and not taken: { body, words }
let unfolded = false; // the open effect shows its veils on the rail
let pins = null;

const store = new Store(
  state,
  "fitting",
  { put: (...save) => send("PUT", api, ...save), get: () => send("GET", api), gesture },
  savedLine(took, () => store.retry(), redraw),
);
watch(store);
const stage = new Stage(
  root.querySelector("[data-stage]"),
  root.querySelector("[data-looks]"),
  {
    address: `${api}/render`,
    photo: () => photo,
    body: () => (painting?.storing ? null : request()),
    maskBody: () => (brushed && !painting.storing ? { ...request(), fitting, mask: brushed.id, maskOn: openKey } : null),
    pins: () => pins?.compared(painting?.storing ? null : request()) ?? [],
  },
  { finished: () => !painting.stroke && stage.paintUnderHand(null) },
);
pins = new Pins(find("pins"), api, state.pins, {
  store,
  address: `${api}/render`,
  peek: (id, words) => peek(id && { pin: id }, words),
  back: (answer, name) => say(`The photo wears “${name}” again.`, { action: () => undo(false, answer.undo.edit) }),
  changed: () => stage.pinsChanged(),
});
const painting = new Painting(stage, store, api, state.painted, {
  key: () => openKey,
  brushed: () => brushed,
  shown() {
    show();
    stage.refresh();
    trace.changed();
  },
});
const brush = painting.brush;
const trace = new Trace(
  find("trace"),
  stage,
  {
    address: `${api}/trace`,
    body: () => ({ fitting }),
    named: ({ bundle }) => wornPieces()[bundle]?.name ?? "",
  },
  { flash: (step) => peek(step && { fitting: without(step) }, step && `Without “${step.name}”`) },
);

/** Pieces of what is worn, in order, as the rendered stack has them. */
const wornPieces = () => fitting.worn.map((w) => pieces.get(w.effect)).filter(Boolean);

function without(step) {
  const piece = wornPieces()[step.bundle];
  return veilChanged(fitting, piece.key, piece.effect.veils.find((v) => v.id === step.veil), { lifted: true });
}

/** Shows something else on the stage without taking it; null for what is there. */
function peek(body, words = "") {
  if (!body && !peeked) return;
  peeked = body && { body, words };
  hint();
  stage.refresh();
}

function request() {
  if (trying) return { try: trying };
  if (peeked) return peeked.body;
  return { fitting, ...painting?.request };
}

/** Changes the fitting by a function of it; stores that where a label says what was done. */
function take(fn, label) {
  if (label) store.change(fn, label);
  else store.hold(fn);
  fitting = store.doc;
  if (label) show();
  else showSoon();
  stage.refresh(!label);
  trace.changed();
}

/** A state as it is stored, taken whole. */
function took(answer, differs) {
  for (const piece of answer.pieces) pieces.set(piece.key, piece);
  const painted = painting.take(answer.painted);
  fitting = store.doc;
  pins.take(answer.pins);
  if (!differs && !painted) return; // what is being typed stays
  show();
  peeked = null;
  redraw();
}

/** Asks anew for the picture and for what is told of it. */
function redraw() {
  stage.refresh();
  trace.changed();
}

const { ask, undo } = asking(store, api, find("opposites"), {
  undone: () => stage.refresh(), // paint may have changed where nothing else did
});

const isWorn = (key) => fitting.worn.some((w) => w.effect === key);

const offers = new Offers(root.querySelector(".offers"), {
  isWorn,
  try: tryOn,
  async toggle(key) {
    trying = null;
    if (isWorn(key)) {
      if (openKey !== key) return open(key);
      return ask("take-off", { effect: key });
    }
    openKey = key;
    chosen = undefined;
    return ask("wear", { effect: key });
  },
  wearAll: (section, lifted) => ask("wear-all", { section, lifted }),
});

function open(key) {
  openKey = key;
  chosen = undefined;
  show();
}

const rail = new Rail(find("veils"), {
  pick(key) {
    unfolded = key === openKey && !unfolded;
    open(key);
  },
  hem(key, opacity, rests) {
    openKey = key;
    setOpacity(opacity, rests);
  },
});

function setOpacity(opacity, rests) {
  const key = openKey;
  take((f) => changed(f, key, { opacity }), rests && `opacity of ${names.get(key)}`);
}

const onVeils = {
  veil(veil, fields, rests) {
    const what = "lifted" in fields ? (fields.lifted ? "lift" : "let down") : "opacity of";
    const key = openKey;
    take((f) => veilChanged(f, key, veil, fields), rests && `${what} ${veil.name}`);
  },
  brush(id) {
    chosen = id;
    show();
  },
};
const bundle = new Bundle(onVeils);
const card = new Card(find, kinds, {
  ...onVeils,
  opacity: setOpacity,
  dial(dial, value, rests) {
    const piece = pieces.get(openKey);
    take((f) => dialled(f, piece, dial, value), rests && `dial “${dial.label}”`);
  },
});

const panel = new PaintPanel(find("paint"), state, {
  all: (how) => painting.all(how),
  mask(mask, label) {
    const { of, name } = brushed;
    take((f) => masked(f, openKey, of, mask), label && `${label}, ${name}`);
  },
  others: () => others(fitting, wornPieces(), openKey, brushed.of),
  copy: (fromEffect, from) => ask("copy-mask", { fromEffect, from, effect: openKey, veil: brushed.of }),
  load: (paint) => ask("load-paint", { effect: openKey, paint }),
});

const showSoon = inNextFrame(show);

function show() {
  if (!isWorn(openKey)) {
    openKey = fitting.worn.at(-1)?.effect ?? null;
    unfolded = false;
  }
  const piece = pieces.get(openKey);
  brushed = brushTarget(fitting, piece, chosen);
  const items = fitting.worn.filter((w) => pieces.has(w.effect)).map((w) => railItem(w, pieces.get(w.effect)));
  unfolded &&= Boolean(piece);
  rail.show(items, openKey, unfolded ? bundle.element : null);
  if (unfolded) {
    bundle.show(piece, fitting, brushed);
    find("veils").style.setProperty("--open-width", `${bundle.width}px`);
  }
  offers.show();
  find("rail-count").textContent = counted(items);
  for (const name of ["keep-open", "batch-open"]) if (find(name)) find(name).disabled = items.length === 0;
  card.show(piece, fitting, brushed);
  brush.arm(brushed !== null, !brushed || !coversMost(brushed.mask));
  stage.maskButton(brushed !== null);
  panel.show(brushed, { painted: painting.strokes > 0, paper: `${base}${state.id}/paint?effect=${encodeURIComponent(openKey)}` });
  hint();
}

/** The words over the picture. */
function hint() {
  const waits = brushed && painting.strokes === 0 && brushed.mask.cover === "brush-on";
  stage.label(trying ? names.get(trying) : peeked ? peeked.words : waits ? hiddenHint(brushed) : "");
}

function tryOn(key) {
  if (key === trying) return;
  trying = key;
  hint();
  stage.refresh();
}

find("take-off").addEventListener("click", () => ask("take-off", { effect: openKey }));
find("brush-whole").addEventListener("click", () => onVeils.brush(brushed?.of === WHOLE ? null : WHOLE));
find("keep-open")?.addEventListener("click", keeping(find("keep"), api, { fitting: () => fitting, painted: () => painting.counts, pieces, settled: () => store.settled() }));
find("batch-open").addEventListener("click", batch(find("batch"), api, () => photos.others, () => store.settled()));
listenUndo(undo);
listenExports(document.querySelectorAll("[data-format]"), (format) => `${api}/export?format=${format}`);

listen(
  fittingKeys({
    stage,
    brush,
    around,
    neighbour: (step) => photos.neighbour(step),
    undo,
    masked: () => brushed !== null,
    pick: (place) => fitting.worn[place] && open(fitting.worn[place].effect),
    lift: liftOpen,
    takeOff: () => openKey && ask("take-off", { effect: openKey }),
    pin: () => pins.add(),
    trace: () => trace.pick(),
    search: () => find("find").focus(),
  }),
);

function liftOpen() {
  const worn = fitting.worn.find((w) => w.effect === openKey);
  const key = openKey;
  if (worn) take((f) => changed(f, key, { lifted: !worn.lifted }), `${worn.lifted ? "let down" : "lift"} ${names.get(key)}`);
}

stage.pinsChanged();
showUndo(state.undo);
show();
stage.refresh();
