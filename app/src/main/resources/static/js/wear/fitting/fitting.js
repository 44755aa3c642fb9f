// The fitting room: effects of a kit or a release, worn by one photo. Views and how they hang together.
import { listenExports } from "../../base/web/exports.js";
import { inNextFrame } from "../../base/web/frames.js";
import { listen } from "../../base/web/keys.js";
import { watch } from "../../base/web/leaving.js";
import { listenUndo, savedLine, showUndo } from "../../base/web/saved-line.js";
import { room } from "../../base/web/room.js";
import { say } from "../../base/web/say.js";
import { coversMost } from "../../photo/mask/rules.js";
import { Live } from "../../photo/readings/live.js";
import { Handles } from "../../photo/stage/handles.js";
import { hiddenHint } from "../../photo/stage/hint.js";
import { Rail } from "../rail/rail.js";
import { asking } from "./asking.js";
import { batch } from "./batch.js";
import { beside } from "./beside.js";
import { Bundle } from "./bundle.js";
import { Card } from "./card.js";
import { edits } from "./edits.js";
import { Held } from "./held.js";
import { keeping } from "./keep.js";
import { fittingKeys } from "./keys.js";
import { onPage } from "./on-page.js";
import { fittingStage } from "./on-stage.js";
import { Painting } from "./painting.js";
import { PaintPanel } from "./paint-panel.js";
import { Photos } from "./photos.js";
import { Pins } from "./pins.js";
import { placesOf } from "./places.js";
import { suits } from "./suits.js";
import { sayWorn, wornTogether } from "./together.js";
import { tracing } from "./tracing.js";
import { counted, others as masksBeside, railItem, WHOLE, wornOf } from "./wearing.js";

const root = document.querySelector("main[data-fitting]");
const find = (name) => document.querySelector(`[data-${name}]`);
const state = JSON.parse(root.dataset.state);
const around = room(root, "fitting");
const kinds = new Map(state.kinds.map((k) => [k.id, k]));
const showSoon = inNextFrame(show);
let pins = null;
let painting = null;

const held = new Held(state, root.dataset.base, savedLine, {
  show,
  showSoon,
  hint,
  redraw(moving) {
    stage.refresh(moving);
    trace.changed();
  },
  another: () => stage.another(),
  stroke: () => painting?.request,
  painted: (counts) => painting.take(counts),
  pins: (state) => pins.take(state),
  renewed: (answer) => others.renewed(answer),
  left: (next, address) => others.left(next, address),
  turned(address) {
    onPage(photos.photo, address);
    show();
    stage.another();
    trace.changed();
    suiting.away();
  },
});
const { store, api } = held;
watch(store);
const settled = () => store.settled();
const photos = new Photos(root.querySelector("[data-photos]"), state, {
  leaving: () => painting.brush.finish(),
  settled,
  shown(next) {
    held.turnTo(next);
    if (next.said) say(next.said, { action: () => undo(false, next.undo.edit) });
  },
  ticked: () => passing.ticked(),
});
const others = wornTogether(root, state, store, api);
const { stage, address, body } = fittingStage(root, held, {
  photos,
  painting: () => painting,
  pins: () => pins,
  finished: () => live.changed(),
});
pins = new Pins(find("pins"), api, state, {
  store,
  get address() {
    return address();
  },
  look: (body, words) => held.peek(body, words),
  photo: (id) => photos.all.find((photo) => photo.id === id)?.name ?? "another photo",
  back: (answer, name) => sayWorn(`The photo wears ${name}.`, state, answer, undo),
  changed: () => stage.comparing.pinsChanged(),
});
painting = new Painting(stage, store, api, state.painted, {
  key: () => held.openKey,
  brushed: () => held.brushed,
  shown() {
    show();
    stage.refresh();
    trace.changed();
  },
});
const { brush } = painting;
const handles = new Handles(stage);
const kit = /^kit:(\d+)$/.exec(state.wardrobe)?.[1];
const live = new Live(find, address, body, kit ? { kit: Number(kit) } : {});
const trace = tracing(find("trace"), stage, api, {
  fitting: () => held.fitting,
  pieces: () => held.worn,
  peek: (what, words) => held.peek(what, words),
  open: (key) => held.open(key),
});
const edit = edits(
  (fn, label) => held.take(fn, label),
  {
    key: () => held.openKey,
    worn: () => wornOf(held.fitting, held.openKey),
    piece: () => held.piece,
    brushed: () => held.brushed,
  },
  held.names,
);
const { ask, undo } = asking(state, store, api, find("opposites"), {
  undone: () => stage.refresh(), // paint may have changed where nothing else did
});

const { offers, passing, elsewhere } = beside(root, held, { state, photos, ask, undo, pins: () => pins.all });
const rail = new Rail(find("veils"), {
  pick: (key) => held.pick(key),
  hem(key, opacity, rests) {
    if (key !== held.openKey) held.open(key, false);
    edit.opacity(opacity, rests);
  },
});
const takeBrush = (of) => held.takeBrush(of);
const bundle = new Bundle({ veil: edit.veil, brush: takeBrush });
const card = new Card(find, kinds, state.sorts, { ...edit, brush: takeBrush });
const panel = new PaintPanel(find("paint"), state, {
  all: (how) => painting.all(how),
  mask: edit.mask,
  others: () => masksBeside(held.fitting, held.worn, held.openKey, held.brushed.of),
  copy: (fromEffect, from) => ask("copy-mask", { fromEffect, from, effect: held.openKey, veil: held.brushed.of }),
  load: (paint) => ask("load-paint", { effect: held.openKey, paint }),
});

function show() {
  const { openKey, unfolded } = held.fit();
  const { piece, fitting, brushed: under } = held;
  const items = fitting.worn
    .filter((w) => held.pieces.has(w.effect))
    .map((w) => railItem(w, held.pieces.get(w.effect)));
  rail.show(items, openKey, unfolded ? bundle.element : null);
  if (unfolded) {
    bundle.show(piece, fitting, under);
    find("veils").style.setProperty("--open-width", `${bundle.width}px`);
  }
  offers.show();
  passing.show();
  elsewhere(store.stored.elsewhere);
  find("rail-count").textContent = counted(items);
  for (const name of ["keep-open", "look-open", "batch-open"]) if (find(name)) find(name).disabled = items.length === 0;
  card.show(piece, fitting, under);
  handles.show(placesOf(fitting, piece, kinds, state.sorts, edit.place));
  brush.arm(under !== null, !under || !coversMost(under.mask));
  stage.maskButton(under !== null);
  panel.show(under, {
    painted: painting.strokes > 0,
    paper: `${held.base}${state.id}/paint?effect=${encodeURIComponent(openKey)}`,
  });
  hint();
}

/** What is looked at, in words; and what to do first, by the brush. */
function hint() {
  const under = held.brushed;
  const waits = under && painting.strokes === 0 && under.mask.cover === "brush-on";
  brush.hint(waits ? hiddenHint(under) : "");
  stage.label(held.words);
}

const takeOff = () => held.openKey && ask("take-off", { effect: held.openKey });
find("take-off").addEventListener("click", takeOff);
find("brush-whole").addEventListener("click", () => takeBrush(WHOLE));
const keep = () =>
  keeping(find("keep"), () => state.id, {
    ...{ pieces: held.pieces, names: held.names, store, offers, placeOf: others.placeOf },
    fitting: () => held.fitting,
    painted: () => painting.counts,
    photo: () => photos.photo.id,
    redraw: () => held.views.redraw(),
  });
find("keep-open")?.addEventListener("click", keep());
const more = batch(find("batch"), api, () => photos.others, settled);
find("batch-open").addEventListener("click", more);
const suiting = suits(find("suits"), () => api, offers.pieces);
listenUndo(undo);
listenExports(document.querySelectorAll("[data-format]"), (format) => `${api}/export?format=${format}`);
listen(
  fittingKeys({
    ...{ stage, brush, around, undo, takeOff, lift: edit.lift },
    neighbour: (step) => photos.neighbour(step),
    masked: () => held.brushed !== null,
    pick: (place) => held.fitting.worn[place] && held.open(held.fitting.worn[place].effect),
    pin: () => pins.add(),
    ...{ next: passing.next, before: passing.before },
    trace: () => trace.pick(),
    search: () => find("find").focus(),
  }),
);

stage.comparing.pinsChanged();
showUndo(state.undo);
show();
stage.refresh();
