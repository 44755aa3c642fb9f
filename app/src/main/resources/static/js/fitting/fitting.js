// The fitting room: effects of a kit or a release, worn by one photo.
import { send } from "../web/http.js";
import { listen } from "../web/keys.js";
import { listenUndo, savedLine, showUndo } from "../web/saved-line.js";
import { Saver } from "../web/saver.js";
import { say, sayFault } from "../web/say.js";
import { Brush } from "../stage/brush.js";
import { hiddenHint } from "../stage/hint.js";
import { PICKS, stageKeys } from "../stage/keys.js";
import { Stage } from "../stage/stage.js";
import { Rail } from "../rail/rail.js";
import { Card } from "./card.js";
import { brushedVeil, changed, paintable, painted, veilChanged } from "./wearing.js";

const TRY_AFTER_MS = 90;
const root = document.querySelector("main[data-fitting]");
const find = (name) => document.querySelector(`[data-${name}]`);
const state = JSON.parse(root.dataset.state);
const base = root.dataset.base;
const api = `/api/fittings/${state.id}`;
const pieces = new Map(state.pieces.map((p) => [p.key, p]));
const offers = new Map([...document.querySelectorAll("[data-piece]")].map((b) => [b.dataset.piece, b]));
const photoButtons = [...root.querySelectorAll("[data-photos] [data-photo]")];
const shownPhoto = photoButtons.find((b) => Number(b.dataset.photo) === state.photo);
const photo = { id: state.photo, width: Number(shownPhoto.dataset.width), height: Number(shownPhoto.dataset.height) };

let fitting = state.fitting;
let openKey = fitting.worn.at(-1)?.effect ?? null;
let brushed = null; // veil under the brush
let trying = null; // key of an effect that is looked at
let stroke = null;
let storing = false;

const stage = new Stage(
  root.querySelector("[data-stage]"),
  root.querySelector("[data-looks]"),
  {
    address: `${api}/render`,
    photo: () => photo,
    body: () => (storing ? null : request()),
    maskBody: () => (brushed && !storing ? { ...request(), mask: brushed.id, maskOn: openKey } : null),
  },
  { finished: () => !stroke && stage.paintUnderHand(null) },
);

function request() {
  if (trying) return { try: trying };
  return stroke ? { fitting, stroke, veil: brushed.id, strokeOn: openKey } : { fitting };
}

const put = (rev, next) => send("PUT", api, { rev, ...next });
const saver = new Saver(state.rev, put, savedLine(() => true));

function take(next, label) {
  fitting = next;
  show();
  stage.refresh();
  if (label) saver.save({ fitting, label });
}

/** Asks the application to change the fitting by its rules, and takes what it gives. */
async function ask(method, path, body) {
  const answer = await saver.queue(() => send(method, `${api}/${path}`, body));
  if (!answer) return;
  trying = null;
  fitting = answer.fitting;
  if (answer.said) say(answer.said, { action: () => ask("POST", "undo?redo=false") });
  show();
  stage.refresh();
}

const isWorn = (key) => fitting.worn.some((w) => w.effect === key);

async function toggle(key) {
  if (isWorn(key)) {
    if (openKey !== key) return open(key);
    return ask("POST", "take-off", { effect: key });
  }
  openKey = key;
  brushed = null;
  return ask("POST", "wear", { effect: key });
}

function open(key) {
  openKey = key;
  brushed = null;
  show();
}

const rail = new Rail(find("veils"), {
  pick: open,
  hem(key, opacity, rests) {
    openKey = key;
    take(changed(fitting, key, { opacity }), rests && `opacity of ${pieces.get(key).name}`);
  },
});

const card = new Card(find, {
  opacity(opacity, rests) {
    take(changed(fitting, openKey, { opacity }), rests && `opacity of ${pieces.get(openKey).name}`);
  },
  veil(veil, fields, rests) {
    const what = "lifted" in fields ? (fields.lifted ? "lift" : "let down") : "opacity of";
    take(veilChanged(fitting, openKey, veil, fields), rests && `${what} ${veil.name}`);
  },
  brush(veil) {
    brushed = veil;
    show();
  },
});

function show() {
  if (!isWorn(openKey)) openKey = fitting.worn.at(-1)?.effect ?? null;
  const piece = pieces.get(openKey);
  const veil = piece?.effect.veils.find((v) => v.id === brushed?.id);
  const kept = veil && paintable(fitting, openKey, veil);
  brushed = kept ? veil : brushedVeil(fitting, openKey, piece?.effect);
  const items = fitting.worn.filter((w) => pieces.has(w.effect)).map((w) => item(w, pieces.get(w.effect)));
  rail.show(items, openKey);
  for (const [key, button] of offers) button.setAttribute("aria-pressed", String(isWorn(key)));
  const n = items.length;
  find("rail-count").textContent = n === 0 ? "The photo wears nothing yet" : `${n} ${n === 1 ? "effect" : "effects"} on`;
  card.show(piece, fitting, brushed);
  const armed = brushed !== null;
  if (brush.armed !== armed) brush.arm(armed);
  stage.maskButton(armed);
  const strokes = armed ? (fitting.worn.find((w) => w.effect === openKey).paint[brushed.id] ?? []) : [];
  find("paint-buttons").hidden = strokes.length === 0;
  find("save-paint").href = `${base}${state.id}/paint?effect=${encodeURIComponent(openKey)}`;
  stage.label(trying ? pieces.get(trying).name : armed && strokes.length === 0 && brushed.mask.cover === "brush-on" ? hiddenHint(brushed) : "");
}

function item(worn, piece) {
  const veils = piece.effect.veils;
  return {
    id: worn.effect,
    name: piece.name,
    what: `section ${piece.section % 100} · ${veils.length} ${veils.length === 1 ? "veil" : "veils"}`,
    kind: veils[0]?.kind ?? "",
    opacity: worn.opacity,
    lifted: worn.lifted,
    woven: veils.some((v) => v.mask.cover === "brush-on"),
    layers: veils.length,
  };
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
  },
});

function tryOn(key) {
  trying = key;
  stage.label(key ? pieces.get(key).name : "");
  if (!key) show();
  stage.refresh();
}

let pointing;
for (const [key, button] of offers) {
  const begin = () => {
    clearTimeout(pointing);
    if (!isWorn(key)) pointing = setTimeout(() => tryOn(key), TRY_AFTER_MS);
  };
  const end = () => {
    clearTimeout(pointing);
    if (trying) tryOn(null);
  };
  button.addEventListener("pointerenter", begin);
  button.addEventListener("pointerleave", end);
  button.addEventListener("focus", () => button.matches(":focus-visible") && begin());
  button.addEventListener("blur", end);
  button.addEventListener("click", () => {
    clearTimeout(pointing);
    trying = null;
    toggle(key).catch(sayFault);
  });
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
const undo = (redo) => ask("POST", `undo?redo=${redo}`);
listenUndo(undo);

listen([
  { keys: PICKS, shown: ["1", "9"], says: "pick an effect on the rail", run: (e) => fitting.worn[e.key - 1] && open(fitting.worn[e.key - 1].effect) },
  { keys: ["v"], says: "lift or let down the effect", run: liftOpen },
  { keys: ["delete"], says: "take the effect off", run: () => openKey && ask("POST", "take-off", { effect: openKey }) },
  ...stageKeys(stage, brush, { masked: () => brushed !== null, neighbour, undo }),
]);

function liftOpen() {
  const worn = fitting.worn.find((w) => w.effect === openKey);
  if (worn) take(changed(fitting, openKey, { lifted: !worn.lifted }), `${worn.lifted ? "let down" : "lift"} ${pieces.get(openKey).name}`);
}

showUndo(state.undo);
show();
stage.refresh();
