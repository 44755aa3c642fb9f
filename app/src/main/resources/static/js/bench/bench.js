// The bench: an effect is built veil by veil on a photo.
import { send } from "../web/http.js";
import { listen } from "../web/keys.js";
import { listenUndo, savedLine, showUndo } from "../web/saved-line.js";
import { Saver } from "../web/saver.js";
import { say, sayFault } from "../web/say.js";
import { Brush } from "../stage/brush.js";
import { hiddenHint } from "../stage/hint.js";
import { PICKS, stageKeys } from "../stage/keys.js";
import { pickColour } from "../stage/pick.js";
import { Stage } from "../stage/stage.js";
import { Rail } from "../rail/rail.js";
import { clipped, drawHistogram } from "../readings/histogram.js";
import { changed, described, doubled, dropped, hung, newVeil, placedAt, setAll, setTo } from "./effect.js";
import { kindChooser } from "./kinds.js";
import { openVeil } from "./open-veil.js";
import { showSpot } from "../readings/spot.js";

const root = document.querySelector("[data-bench]");
const find = (name) => document.querySelector(`[data-${name}]`);
const state = JSON.parse(root.dataset.state);
const api = `/api/effects/${state.id}`;
const kinds = new Map(state.kinds.map((k) => [k.id, k]));
const photos = new Map(
  [...root.querySelectorAll("[data-photos] [data-photo]")].map((button) => {
    const { photo, name, width, height } = button.dataset;
    return [Number(photo), { id: Number(photo), name, width: Number(width), height: Number(height), button }];
  }),
);

let effect = state.effect;
let paint = state.paint;
let photo = photos.get(state.photo) ?? photos.values().next().value;
let openId = null;
let panel = null;
let stroke = null; // being painted, or painted and not stored yet
let storing = false;
let plainTones = null;

const veilOf = (id) => effect.veils.find((v) => v.id === id);
const newId = () => crypto.randomUUID().slice(0, 8);

const stage = new Stage(
  root.querySelector("[data-stage]"),
  root.querySelector("[data-looks]"),
  {
    address: `${api}/render`,
    photo: () => photo,
    body: () => (storing ? null : request()),
    maskBody: () => (openId && !storing ? { ...request(), mask: openId } : null),
  },
  {
    finished(shot) {
      drawHistogram(find("histogram"), shot.head);
      find("clipped").textContent = clipped(shot.head);
      if (!stroke) stage.paintUnderHand(null);
    },
    plain(shot) {
      plainTones = shot.head;
      panel?.tones(plainTones);
    },
    spot: (point) => showSpot(find("spot"), find("spot-figures"), point && stage.readAt(point.x, point.y)),
  },
);

function request() {
  const body = { photo: photo.id, effect };
  return stroke ? { ...body, stroke, veil: openId } : body;
}

const put = (rev, next) => send("PUT", api, { rev, ...next });
const saver = new Saver(state.rev, put, savedLine((fault) => fault.status === 409));

/** Shows an effect and asks for its picture; stores it where a label says what was done. */
function take(next, label) {
  effect = next;
  if (!veilOf(openId)) openId = panel = null;
  show();
  stage.refresh();
  if (label) saver.save({ effect, label });
}

const rail = new Rail(find("veils"), {
  pick: (id) => open(openId === id ? null : id),
  hem(id, opacity, rests) {
    take(changed(effect, id, { opacity }), rests && `opacity of ${veilOf(id).name}`);
  },
  move(id, index) {
    if (effect.veils[index]?.id !== id) take(placedAt(effect, id, index), `move ${veilOf(id).name}`);
  },
});

const hang = document.createElement("button");
hang.className = "hang";
hang.type = "button";
hang.textContent = "Hang a veil";
find("veils").append(hang);
const chooser = kindChooser(find("kinds"), hang, state.kinds, (kind) => {
  const veil = newVeil(kind, effect, newId());
  take(hung(effect, veil, openId), `hang ${veil.name}`);
  open(veil.id);
});

function open(id) {
  openId = id;
  panel = null;
  const veil = id && veilOf(id);
  if (veil) {
    panel = openVeil(veil, kinds.get(veil.kind), state.blends, state.masks, {
      change: (fields, what) => take(changed(effect, id, fields), `${what} of ${veilOf(id).name}`),
      input: (key, value) => take(setTo(effect, id, key, value)),
      mask: (mask) => take(changed(effect, id, { mask })),
      setting: (key, value, label) => take(setTo(effect, id, key, value), `${label} of ${veilOf(id).name}`),
      start: (values, label) => take(setAll(effect, id, values), `${label} in ${veilOf(id).name}`),
      pick: () => pickColour(stage),
      others: () => effect.veils.filter((v) => v.id !== id),
      copyMask: (from) => copyMask(from, id),
      lift: () => lift(id),
      double: () => take(doubled(effect, id, newId()), `double ${veilOf(id).name}`),
      drop: () => drop(id),
      close: () => open(null),
      clear: () => clearPaint(id),
    });
    if (plainTones) panel.tones(plainTones);
    find("veils").style.setProperty("--open-width", `${panel.width + 46}px`);
  }
  show();
  stage.refresh();
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

function show() {
  const items = effect.veils.map((veil) => ({
    id: veil.id,
    name: veil.name,
    what: described(veil, kinds.get(veil.kind)),
    kind: veil.kind,
    opacity: veil.opacity,
    lifted: veil.lifted,
    woven: veil.mask.cover === "brush-on",
  }));
  rail.show(items, openId, panel?.element);
  const veil = veilOf(openId);
  const painted = (paint[openId]?.length ?? 0) > 0;
  panel?.show(veil, painted);
  const masked = veil !== undefined && veil.mask.cover !== "everywhere";
  const brushed = masked && !veil.lifted;
  if (brush.armed !== brushed) brush.arm(brushed);
  stage.maskButton(masked || painted);
  stage.label(brushed && !painted && veil.mask.cover === "brush-on" ? hiddenHint(veil) : "");
  const n = effect.veils.length;
  const up = effect.veils.filter((v) => v.lifted).length;
  find("rail-count").textContent = n === 0 ? "no veil yet" : `${n} ${n === 1 ? "veil" : "veils"}${up ? ` · ${up} lifted` : ""} · drag a hem to set its opacity`;
  hang.hidden = n >= state.maxVeils;
  const note = find("note");
  if (document.activeElement !== note) note.value = effect.note;
}

const brush = new Brush(stage, document.querySelector("[data-brush]"), {
  progress(next) {
    stroke = next;
    if (!storing) stage.refresh();
  },
  async done(next) {
    stroke = next;
    storing = true;
    const [veil, on] = [openId, photo]; // another may be open, or shown, when its turn comes
    const answer = await saver.queue(() => send("POST", `${api}/paint`, { photo: on.id, veil, stroke: next }));
    if (answer && photo === on) paint = { ...paint, [veil]: [...(paint[veil] ?? []), next] };
    if (stroke === next) stroke = null;
    storing = false;
    show();
    stage.refresh();
  },
});

async function clearPaint(veil) {
  const address = `${api}/paint?photo=${photo.id}&veil=${encodeURIComponent(veil)}`;
  if (!(await saver.queue(() => send("DELETE", address)))) return;
  paint = { ...paint, [veil]: [] };
  show();
  stage.refresh();
}

async function copyMask(from, to) {
  const name = veilOf(from).name;
  const body = (rev) => ({ rev, photo: photo.id, from, to });
  const answer = await saver.queue((rev) => send("POST", `${api}/copy-mask`, body(rev)));
  if (!answer) return;
  paint = answer.paint;
  take(answer.effect);
  say(`Covers where “${name}” does.`, { action: () => undo(false) });
}

async function undo(redo) {
  const answer = await saver.queue(() => send("POST", `${api}/undo?redo=${redo}&photo=${photo.id}`));
  if (!answer) return;
  say(answer.said);
  paint = answer.paint;
  const veil = openId;
  effect = answer.effect;
  open(effect.veils.some((v) => v.id === veil) ? veil : null);
}

async function choosePhoto(next) {
  if (!next || next === photo) return;
  photo = next;
  plainTones = null;
  history.replaceState(null, "", `/bench/${state.id}?photo=${photo.id}`);
  showPhoto();
  try {
    const answer = await send("GET", `${api}?photo=${next.id}`);
    if (photo !== next) return;
    paint = answer.paint;
    show();
    stage.refresh();
  } catch (error) {
    sayFault(error);
  }
}

function neighbour(step) {
  const all = [...photos.values()];
  choosePhoto(all[(all.indexOf(photo) + step + all.length) % all.length]);
}

function showPhoto() {
  for (const p of photos.values()) p.button.setAttribute("aria-current", String(p === photo));
  photo.button.scrollIntoView({ block: "nearest" });
  find("photo-size").textContent = `${photo.width} × ${photo.height}`;
  for (const link of document.querySelectorAll("[data-format]")) {
    link.href = `/bench/${state.id}/result?photo=${photo.id}&format=${link.dataset.format}`;
  }
  const fitting = find("fitting");
  fitting.href = fitting.href.replace(/&photo=\d+|$/, `&photo=${photo.id}`);
}

for (const p of photos.values()) p.button.addEventListener("click", () => choosePhoto(p));
listenUndo(undo);
find("note").addEventListener("change", (event) => take({ ...effect, note: event.target.value }, "note"));

listen([
  { keys: PICKS, shown: ["1", "9"], says: "pick a veil", run: (e) => effect.veils[e.key - 1] && open(effect.veils[e.key - 1].id) },
  { keys: ["h"], says: "hang a veil", run: () => chooser.open() },
  { keys: ["v"], says: "lift or let down the open veil", run: () => lift(openId) },
  { keys: ["delete"], says: "drop the open veil", run: () => drop(openId) },
  { keys: ["escape"], says: "close the open veil", run: () => chooser.close() || open(null) },
  ...stageKeys(stage, brush, { masked: () => openId !== null, neighbour, undo }),
]);

showUndo(state.undo);
showPhoto();
show();
stage.refresh();
