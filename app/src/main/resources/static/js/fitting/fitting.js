// The fitting room: effects of a kit or a release, worn by one photo.
import { inNextFrame } from "../web/frames.js";
import { send } from "../web/http.js";
import { listen } from "../web/keys.js";
import { listenUndo, savedLine, showUndo } from "../web/saved-line.js";
import { Saver } from "../web/saver.js";
import { say } from "../web/say.js";
import { Brush } from "../stage/brush.js";
import { hiddenHint } from "../stage/hint.js";
import { PICKS, stageKeys } from "../stage/keys.js";
import { Stage } from "../stage/stage.js";
import { Rail } from "../rail/rail.js";
import { Trace } from "../readings/trace.js";
import { askOpposites } from "./ask.js";
import { batch } from "./batch.js";
import { Bundle } from "./bundle.js";
import { Card } from "./card.js";
import { keeping } from "./keep.js";
import { Offers } from "./offers.js";
import { Pins } from "./pins.js";
import { brushedVeil, changed, dialled, paintable, painted, railItem, veilChanged, wholeOf } from "./wearing.js";

const root = document.querySelector("main[data-fitting]");
const find = (name) => document.querySelector(`[data-${name}]`);
const state = JSON.parse(root.dataset.state);
const base = root.dataset.base;
const api = `/api/fittings/${state.id}`;
const pieces = new Map(state.pieces.map((p) => [p.key, p]));
const kinds = new Map(state.kinds.map((k) => [k.id, k]));
const photoButtons = [...root.querySelectorAll("[data-photos] [data-photo]")];
const shownPhoto = photoButtons.find((b) => Number(b.dataset.photo) === state.photo);
const photo = { id: state.photo, width: Number(shownPhoto.dataset.width), height: Number(shownPhoto.dataset.height) };

let fitting = state.fitting;
let openKey = fitting.worn.at(-1)?.effect ?? null;
let brushed = null; // veil under the brush, or a whole effect that is worn by brush
let trying = null; // key of an effect that is looked at
let peeked = null; // a fitting that is looked at: { fitting, words }
let stroke = null;
let storing = false;
let unfolded = false; // the open effect shows its veils on the rail
let pins = null;

const saver = new Saver(state.rev, (rev, next) => send("PUT", api, { rev, ...next }), savedLine(() => true));
const stage = new Stage(
  root.querySelector("[data-stage]"),
  root.querySelector("[data-looks]"),
  {
    address: `${api}/render`,
    photo: () => photo,
    body: () => (storing ? null : request()),
    maskBody: () => (brushed && !storing ? { ...request(), fitting, mask: veilForMask().id, maskOn: openKey } : null),
    pins: () => pins?.compared(storing ? null : request()) ?? [],
  },
  { finished: () => !stroke && stage.paintUnderHand(null) },
);
pins = new Pins(find("pins"), api, state.pins, {
  saver,
  address: `${api}/render`,
  peek,
  back: (answer, name) => {
    takeStored(answer);
    say(`The photo wears “${name}” again.`, { action: () => undo(false) });
  },
  changed: () => stage.pinsChanged(),
});
const trace = new Trace(
  find("trace"),
  stage,
  {
    address: `${api}/trace`,
    body: () => ({ fitting }),
    named: ({ bundle }) => wornPieces()[bundle]?.name ?? "",
  },
  { flash: (step) => peek(step && without(step), step && `Without “${step.name}”`) },
);

/** Pieces of what is worn, in order, as the rendered stack has them. */
const wornPieces = () => fitting.worn.map((w) => pieces.get(w.effect)).filter(Boolean);

function without(step) {
  const piece = wornPieces()[step.bundle];
  return veilChanged(fitting, piece.key, piece.effect.veils.find((v) => v.id === step.veil), { lifted: true });
}

/** Shows another fitting on the stage without taking it; null for the one that is there. */
function peek(other, words = "") {
  if (!other && !peeked) return;
  peeked = other && { fitting: other, words };
  hint();
  stage.refresh();
}

const veilForMask = () => (brushed.id === "*" ? pieces.get(openKey).effect.veils[0] : brushed);

function request() {
  if (trying) return { try: trying };
  if (peeked) return { fitting: peeked.fitting };
  return stroke ? { fitting, stroke, veil: brushed.id, strokeOn: openKey } : { fitting };
}

function take(next, label) {
  fitting = next;
  if (label) show();
  else showSoon();
  stage.refresh(!label);
  trace.changed();
  if (label) saver.save({ fitting, label });
}

function takeStored(answer) {
  trying = peeked = null;
  fitting = answer.fitting;
  show();
  stage.refresh();
  trace.changed();
}

/** Asks the application to change the fitting by its rules, and takes what it gives. */
async function ask(method, path, body) {
  const answer = await saver.queue(() => send(method, `${api}/${path}`, body));
  if (!answer) return;
  if (answer.ask) {
    const chosen = await askOpposites(find("opposites"), answer.ask);
    return chosen ? ask(method, path, { ...body, answer: chosen }) : takeStored(answer);
  }
  takeStored(answer);
  if (answer.pins) pins.take(answer.pins);
  if (answer.said) say(answer.said, { action: () => undo(false) });
}

const undo = (redo) => ask("POST", `undo?redo=${redo}`);
const isWorn = (key) => fitting.worn.some((w) => w.effect === key);

const offers = new Offers(root.querySelector(".offers"), {
  isWorn,
  try: tryOn,
  async toggle(key) {
    trying = null;
    if (isWorn(key)) {
      if (openKey !== key) return open(key);
      return ask("POST", "take-off", { effect: key });
    }
    openKey = key;
    brushed = null;
    return ask("POST", "wear", { effect: key });
  },
  wearAll: (section, lifted) => ask("POST", "wear-all", { section, lifted }),
});

function open(key) {
  openKey = key;
  brushed = null;
  show();
}

const rail = new Rail(find("veils"), {
  pick(key) {
    unfolded = key === openKey && !unfolded;
    open(key);
  },
  hem(key, opacity, rests) {
    openKey = key;
    take(changed(fitting, key, { opacity }), rests && `opacity of ${pieces.get(key).name}`);
  },
});

const onVeils = {
  veil(veil, fields, rests) {
    const what = "lifted" in fields ? (fields.lifted ? "lift" : "let down") : "opacity of";
    take(veilChanged(fitting, openKey, veil, fields), rests && `${what} ${veil.name}`);
  },
  brush(veil) {
    brushed = veil;
    show();
  },
};
const bundle = new Bundle(onVeils);
const card = new Card(find, kinds, {
  ...onVeils,
  opacity(opacity, rests) {
    take(changed(fitting, openKey, { opacity }), rests && `opacity of ${pieces.get(openKey).name}`);
  },
  dial(dial, value, rests) {
    take(dialled(fitting, pieces.get(openKey), dial, value), rests && `dial “${dial.label}”`);
  },
});

const showSoon = inNextFrame(show);

function show() {
  if (!isWorn(openKey)) {
    openKey = fitting.worn.at(-1)?.effect ?? null;
    unfolded = false;
  }
  const piece = pieces.get(openKey);
  const worn = fitting.worn.find((w) => w.effect === openKey);
  const veil = piece?.effect.veils.find((v) => v.id === brushed?.id);
  const kept = veil && paintable(fitting, openKey, veil);
  if (piece && worn.byBrush) brushed = wholeOf(piece);
  else brushed = kept ? veil : brushedVeil(fitting, openKey, piece?.effect);
  const items = fitting.worn.filter((w) => pieces.has(w.effect)).map((w) => railItem(w, pieces.get(w.effect)));
  unfolded &&= Boolean(piece);
  rail.show(items, openKey, unfolded ? bundle.element : null);
  if (unfolded) {
    bundle.show(piece, fitting, brushed);
    find("veils").style.setProperty("--open-width", `${bundle.width}px`);
  }
  offers.show();
  const n = items.length;
  find("rail-count").textContent = n === 0 ? "The photo wears nothing yet" : `${n} ${n === 1 ? "effect" : "effects"} on`;
  for (const name of ["keep-open", "batch-open"]) if (find(name)) find(name).disabled = n === 0;
  card.show(piece, fitting, brushed);
  const armed = brushed !== null;
  if (brush.armed !== armed) brush.arm(armed);
  stage.maskButton(armed);
  find("paint-buttons").hidden = strokes().length === 0;
  find("save-paint").href = `${base}${state.id}/paint?effect=${encodeURIComponent(openKey)}`;
  hint();
}

const strokes = () => (brushed ? (fitting.worn.find((w) => w.effect === openKey)?.paint[brushed.id] ?? []) : []);

/** The words over the picture. */
function hint() {
  const waits = brushed && strokes().length === 0 && brushed.mask.cover === "brush-on";
  stage.label(trying ? pieces.get(trying).name : peeked ? peeked.words : waits ? hiddenHint(brushed) : "");
}

const brush = new Brush(stage, document.querySelector("[data-brush]"), {
  progress(next) {
    stroke = next;
    if (!storing) stage.refresh();
  },
  async done(next) {
    stroke = next;
    storing = true;
    const [key, veil] = [openKey, brushed.id];
    const body = { effect: key, veil, stroke: next };
    const answer = await saver.queue(() => send("POST", `${api}/paint`, body));
    if (answer) fitting = painted(fitting, key, veil, next);
    if (stroke === next) stroke = null;
    storing = false;
    show();
    stage.refresh();
    trace.changed();
  },
});

function tryOn(key) {
  if (key === trying) return;
  trying = key;
  hint();
  stage.refresh();
}

function goTo(button) {
  location.assign(`${base}of?wardrobe=${encodeURIComponent(state.wardrobe)}&photo=${button.dataset.photo}`);
}

function neighbour(step) {
  const at = photoButtons.indexOf(shownPhoto);
  goTo(photoButtons[(at + step + photoButtons.length) % photoButtons.length]);
}

for (const button of photoButtons) button.addEventListener("click", () => goTo(button));
find("take-off").addEventListener("click", () => ask("POST", "take-off", { effect: openKey }));
find("clear-paint").addEventListener("click", () => ask("POST", "clear-paint", { effect: openKey, veil: brushed.id }));
find("keep-open")?.addEventListener("click", keeping(find("keep"), api, { fitting: () => fitting, pieces, settled: () => saver.settled() }));
find("batch-open").addEventListener("click", batch(find("batch"), api, () => saver.settled()));
listenUndo(undo);

listen([
  { keys: PICKS, shown: ["1", "9"], says: "pick an effect on the rail", run: (e) => fitting.worn[e.key - 1] && open(fitting.worn[e.key - 1].effect) },
  { keys: ["v"], says: "lift or let down the effect", run: liftOpen },
  { keys: ["delete"], says: "take the effect off", run: () => openKey && ask("POST", "take-off", { effect: openKey }) },
  { keys: ["k"], says: "pin what is worn now", run: () => pins.add() },
  { keys: ["t"], says: "trace a spot", run: () => trace.pick() },
  { keys: ["/"], says: "find an effect", run: () => find("find").focus() },
  ...stageKeys(stage, brush, { masked: () => brushed !== null, neighbour, undo }),
]);

function liftOpen() {
  const worn = fitting.worn.find((w) => w.effect === openKey);
  if (worn) take(changed(fitting, openKey, { lifted: !worn.lifted }), `${worn.lifted ? "let down" : "lift"} ${pieces.get(openKey).name}`);
}

stage.pinsChanged();
showUndo(state.undo);
show();
stage.refresh();
