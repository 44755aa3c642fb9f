// The fitting room: effects of a kit or a release, worn by one photo.
import { listenExports } from "../../base/web/exports.js";
import { inNextFrame } from "../../base/web/frames.js";
import { gesture } from "../../base/web/gesture.js";
import { send } from "../../base/web/http.js";
import { listen } from "../../base/web/keys.js";
import { watch } from "../../base/web/leaving.js";
import { listenUndo, savedLine, showUndo } from "../../base/web/saved-line.js";
import { room } from "../../base/web/room.js";
import { Store } from "../../base/web/store.js";
import { say } from "../../base/web/say.js";
import { Live } from "../../photo/readings/live.js";
import { Handles } from "../../photo/stage/handles.js";
import { hiddenHint } from "../../photo/stage/hint.js";
import { Stage } from "../../photo/stage/stage.js";
import { readyBeside } from "../../photo/photos/ready.js";
import { Rail } from "../rail/rail.js";
import { asking } from "./asking.js";
import { batch } from "./batch.js";
import { Bundle } from "./bundle.js";
import { Card } from "./card.js";
import { keeping } from "./keep.js";
import { edits } from "./edits.js";
import { fittingKeys } from "./keys.js";
import { Offers } from "./offers.js";
import { offeredOn, onPage } from "./on-page.js";
import {
  begun,
  brushed as brushedNow,
  brushedWith,
  fitted,
  opened,
  peekedAt,
  picked,
  request as requested,
  tried,
  words,
} from "./page-state.js";
import { Painting } from "./painting.js";
import { Photos } from "./photos.js";
import { placesOf } from "./places.js";
import { Pins } from "./pins.js";
import { coversMost } from "../../photo/mask/rules.js";
import { PaintPanel } from "./paint-panel.js";
import { suits } from "./suits.js";
import { wornTogether } from "./together.js";
import { tracing } from "./tracing.js";
import { counted, others as masksBeside, railItem, WHOLE, wornOf } from "./wearing.js";

const root = document.querySelector("main[data-fitting]");
const find = (name) => document.querySelector(`[data-${name}]`);
const state = JSON.parse(root.dataset.state);
const base = root.dataset.base;
const around = room(root, "fitting");
const api = { toString: () => `/api/fittings/${state.id}` }; // another photo has a fitting of its own
const names = new Map(state.names);
const pieces = new Map(state.pieces.map((p) => [p.key, p])); // those that are worn, or were
const kinds = new Map(state.kinds.map((k) => [k.id, k]));
const photos = new Photos(root.querySelector("[data-photos]"), state, {
  leaving: () => painting.brush.finish(),
  settled: () => store.settled(),
  shown: turnTo,
});

let fitting = state.fitting; // as it is shown: what the store holds
let page = begun(fitting); // what the page shows beside it
let pins = null;

const store = new Store(
  state,
  "fitting",
  { put: (body, name, at) => send("PUT", at, body, name), get: stored, gesture, at: () => String(api) },
  savedLine(took, () => store.retry(), redraw),
);
watch(store);
const others = wornTogether(root, state, store, api);
const stage = new Stage(
  root.querySelector("[data-stage]"),
  root.querySelector("[data-looks]"),
  {
    get address() {
      return `${api}/render`;
    },
    photo: () => photos.photo,
    body: () => (painting?.storing ? null : request()),
    maskBody: () =>
      brushed() && !painting.storing ? { ...request(), fitting, mask: brushed().id, maskOn: page.openKey } : null,
    pins: () => pins?.compared(painting?.storing ? null : request()) ?? [],
  },
  {
    finished() {
      if (!painting.stroke) stage.paintUnderHand(null);
      live.changed();
    },
    photo() {
      offeredOn(photos.photo);
      readyBeside(photos.all, photos.photo, stage.longSide);
    },
  },
);
pins = new Pins(find("pins"), api, state.pins, {
  store,
  get address() {
    return `${api}/render`;
  },
  peek: (id, words) => peek(id && { pin: id }, words),
  back: (answer, name) => say(`The photo wears “${name}” again.`, { action: () => undo(false, answer.undo.edit) }),
  changed: () => stage.comparing.pinsChanged(),
});
const painting = new Painting(stage, store, api, state.painted, {
  key: () => page.openKey,
  brushed: () => brushed(),
  shown() {
    show();
    stage.refresh();
    trace.changed();
  },
});
const brush = painting.brush;
const handles = new Handles(stage);
const kit = /^kit:(\d+)$/.exec(state.wardrobe)?.[1];
const live = new Live(
  find,
  () => `${api}/render`,
  () => (painting.storing ? null : request()),
  kit ? { kit: Number(kit) } : {},
);
/** Pieces of what is worn, in order, as the rendered stack has them. */
const wornPieces = () => fitting.worn.map((w) => pieces.get(w.effect)).filter(Boolean);
const trace = tracing(find("trace"), stage, api, { fitting: () => fitting, pieces: wornPieces, peek, open });

/** Shows something else on the stage without taking it; null for what is there. */
function peek(body, words = "") {
  if (body || page.peeked) look(peekedAt(page, body, words));
}

/** Another state of the page in which something else is looked at. */
function look(next) {
  page = next;
  hint();
  stage.another();
}

const request = () => requested(page, fitting, painting?.request);
const brushed = () => brushedNow(page, fitting, pieces);

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
  if (others.renewed(answer)) return;
  for (const piece of answer.pieces) pieces.set(piece.key, piece);
  const painted = painting.take(answer.painted);
  fitting = store.doc;
  pins.take(answer.pins);
  if (!differs && !painted) return; // what is being typed stays
  page = peekedAt(page, null);
  show();
  redraw();
}

/** The fitting as it is stored, if no other one is shown meanwhile. */
async function stored() {
  const { id } = state;
  const answer = await send("GET", api);
  if (id !== state.id) throw new Error("another photo is shown");
  return answer;
}

/** Goes on with the fitting of another photo. */
function turnTo(next) {
  store.mustBeStored(); // or what waits would be stored in the other photo's place
  if (others.left(next, `${base}${next.id}`)) return;
  Object.assign(state, { id: next.id, photo: next.photo });
  page = begun(next.fitting, page.openKey);
  store.turnTo(next);
  onPage(photos.photo, `${base}${state.id}`);
  show();
  stage.another();
  trace.changed();
  suiting.away();
}

/** Asks anew for the picture and for what is told of it. */
function redraw() {
  stage.refresh();
  trace.changed();
}

const edit = edits(
  take,
  {
    key: () => page.openKey,
    worn: () => wornOf(fitting, page.openKey),
    piece: () => pieces.get(page.openKey),
    brushed,
  },
  names,
);
const { ask, undo } = asking(store, api, find("opposites"), {
  undone: () => stage.refresh(), // paint may have changed where nothing else did
});

const isWorn = (key) => fitting.worn.some((w) => w.effect === key);

const offers = new Offers(root.querySelector(".offers"), {
  isWorn,
  try: tryOn,
  async toggle(key) {
    await photos.there; // a click on the way to another photo is for that one
    page = tried(page, null);
    if (isWorn(key)) return page.openKey === key ? ask("take-off", { effect: key }) : open(key);
    page = opened(page, key);
    return ask("wear", { effect: key });
  },
  wearAll: (section, lifted) => ask("wear-all", { section, lifted }),
  takeSection: (section) => ask("take-off-section", { section }),
  resetSection: (section) => ask("reset-section", { section }),
});

function open(key) {
  page = opened(page, key);
  show();
}

const rail = new Rail(find("veils"), {
  pick(key) {
    page = picked(page, key);
    show();
  },
  hem(key, opacity, rests) {
    if (key !== page.openKey) page = opened(page, key);
    edit.opacity(opacity, rests);
  },
});

function takeBrush(of) {
  page = brushedWith(page, of, brushed());
  show();
}

const bundle = new Bundle({ veil: edit.veil, brush: takeBrush });
const card = new Card(find, kinds, state.sorts, { ...edit, brush: takeBrush });
const panel = new PaintPanel(find("paint"), state, {
  all: (how) => painting.all(how),
  mask: edit.mask,
  others: () => masksBeside(fitting, wornPieces(), page.openKey, brushed().of),
  copy: (fromEffect, from) => ask("copy-mask", { fromEffect, from, effect: page.openKey, veil: brushed().of }),
  load: (paint) => ask("load-paint", { effect: page.openKey, paint }),
});

const showSoon = inNextFrame(show);

function show() {
  page = fitted(page, fitting, pieces);
  const piece = pieces.get(page.openKey);
  const under = brushed();
  const items = fitting.worn.filter((w) => pieces.has(w.effect)).map((w) => railItem(w, pieces.get(w.effect)));
  rail.show(items, page.openKey, page.unfolded ? bundle.element : null);
  if (page.unfolded) {
    bundle.show(piece, fitting, under);
    find("veils").style.setProperty("--open-width", `${bundle.width}px`);
  }
  offers.show();
  find("rail-count").textContent = counted(items);
  for (const name of ["keep-open", "batch-open"]) if (find(name)) find(name).disabled = items.length === 0;
  card.show(piece, fitting, under);
  handles.show(placesOf(fitting, piece, kinds, state.sorts, edit.place));
  brush.arm(under !== null, !under || !coversMost(under.mask));
  stage.maskButton(under !== null);
  panel.show(under, {
    painted: painting.strokes > 0,
    paper: `${base}${state.id}/paint?effect=${encodeURIComponent(page.openKey)}`,
  });
  hint();
}

/** What is looked at, in words; and what to do first, by the brush. */
function hint() {
  const under = brushed();
  const waits = under && painting.strokes === 0 && under.mask.cover === "brush-on";
  brush.hint(waits ? hiddenHint(under) : "");
  stage.label(words(page, names));
}

function tryOn(key) {
  if (key !== page.trying) look(tried(page, key));
}

find("take-off").addEventListener("click", () => ask("take-off", { effect: page.openKey }));
find("brush-whole").addEventListener("click", () => takeBrush(WHOLE));
find("keep-open")?.addEventListener(
  "click",
  keeping(find("keep"), () => state.id, {
    fitting: () => fitting,
    painted: () => painting.counts,
    pieces,
    names,
    store,
    offers,
    placeOf: others.placeOf,
    photo: () => photos.photo.id,
    redraw,
  }),
);
find("batch-open").addEventListener(
  "click",
  batch(
    find("batch"),
    api,
    () => photos.others,
    () => store.settled(),
  ),
);
const suiting = suits(find("suits"), () => api, offers.pieces);
listenUndo(undo);
listenExports(document.querySelectorAll("[data-format]"), (format) => `${api}/export?format=${format}`);

listen(
  fittingKeys({
    stage,
    brush,
    around,
    neighbour: (step) => photos.neighbour(step),
    undo,
    masked: () => brushed() !== null,
    pick: (place) => fitting.worn[place] && open(fitting.worn[place].effect),
    lift: edit.lift,
    takeOff: () => page.openKey && ask("take-off", { effect: page.openKey }),
    pin: () => pins.add(),
    trace: () => trace.pick(),
    search: () => find("find").focus(),
  }),
);

stage.comparing.pinsChanged();
showUndo(state.undo);
show();
stage.refresh();
