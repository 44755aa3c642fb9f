// A photo of the wall with what it holds: regions are painted, found by rule and mended, read from a grey
// picture and written as one.
import { gesture } from "../../base/web/gesture.js";
import { send, upload } from "../../base/web/http.js";
import { listen } from "../../base/web/keys.js";
import { leaveTo, watch } from "../../base/web/leaving.js";
import { partsOf } from "../../base/web/parts.js";
import { room } from "../../base/web/room.js";
import { listenUndo, savedLine, showUndo } from "../../base/web/saved-line.js";
import { say, sayFault } from "../../base/web/say.js";
import { Store } from "../../base/web/store.js";
import { takeBackIn } from "../../base/web/take-back.js";
import { filled } from "../photos/strip.js";
import { stageKeys } from "../stage/keys.js";
import { Painting } from "../stage/painting.js";
import { pickColour } from "../stage/pick.js";
import { Stage } from "../stage/stage.js";
import { added, changed, foundBy, regionOf, without } from "./held.js";
import { List } from "./list.js";
import { tagging } from "./tags.js";

const root = document.querySelector("[data-regions]");
const find = (name) => document.querySelector(`[data-${name}]`);
const state = JSON.parse(root.dataset.state);
const api = `/api/photos/${state.photo}/regions`;
const around = room(root, "regions");
const photos = filled(find("photos"));
const photo = photos.find((p) => p.id === state.photo);

let held = state.held; // as it is shown: what the store holds
let { shares, facts } = state;
let openId = held.regions[0]?.id ?? null;

for (const other of photos) {
  other.button.setAttribute("aria-current", String(other === photo));
  other.button.addEventListener("click", () => other !== photo && leaveTo(`/photos/${other.id}`));
}
photo.button.scrollIntoView({ block: "nearest" });

const open = () => regionOf(held, openId);
const paintable = () => (open()?.left ? undefined : open());

const store = new Store(
  state,
  "held",
  { put: (body, name) => send("PUT", api, body, name), get: () => send("GET", api), gesture },
  savedLine(
    took,
    () => store.retry(),
    () => stage.refresh(),
  ),
);
watch(store);
tagging(root, state.photo, state);
partsOf(root);
const stage = new Stage(
  root.querySelector("[data-stage]"),
  root.querySelector("[data-looks]"),
  {
    address: `${api}/render`,
    photo: () => photo,
    body: () => ({}),
    maskBody: () => (openId && !painting?.storing ? { held, mask: openId, ...underHand() } : null),
  },
  {
    finished: () => !painting.shown && stage.paintUnderHand(null),
    plain: (shot) => list.tones(shot.head),
  },
);
const painting = new Painting(stage, store, api, state.painted, {
  veil: () => paintable().id,
  photo: () => photo,
  shown() {
    show();
    stage.refresh();
  },
});
const underHand = () => painting.shown && { stroke: painting.shown.stroke, veil: painting.shown.veil };

const label = (what) => `${what} ${open().name}`;
const list = new List(root, state, {
  open(id) {
    openId = id;
    show();
    stage.refresh();
  },
  add(name) {
    const next = added(held, name);
    openId = next.id;
    take(() => next.held, `add ${name}`);
  },
  rename: (id, name) => take((h) => changed(h, id, { name }), label("rename")),
  drop: (id) => take((h) => without(h, id), label("drop")),
  found: (id, how) => take((h) => foundBy(h, id, how, state.masks.kinds), label("find")),
  all: (id, how) => painting.all(id, how),
  mask: (id, mask, what) => take((h) => changed(h, id, { mask }), what && label(what)),
  pick: () => pickColour(stage),
  async read(id, file) {
    try {
      await store.settled();
      const answer = await upload(`${api}/read?region=${encodeURIComponent(id)}`, file, () => {});
      await store.lookAgain();
      say(answer.said, { action: () => undo(false, answer.undo.edit) });
    } catch (error) {
      sayFault(error);
    }
  },
  paper: (id) => `/photos/${state.photo}/regions/${id}.png`,
});

/** Changes what the photo holds by a function of it; stores that where a label says what was done. */
function take(fn, what) {
  if (what) store.change(fn, what);
  else store.hold(fn);
  held = store.doc;
  show();
  stage.refresh(!what);
}

/** A state as it is stored, taken whole. */
function took(answer) {
  painting.take(answer);
  held = store.doc;
  ({ shares, facts } = answer);
  show();
  stage.refresh();
}

function show() {
  if (!open()) openId = held.regions[0]?.id ?? null;
  list.show({ held, open: open(), painted: painting.painted, shares, facts });
  painting.armFor(paintable());
  stage.maskButton(Boolean(openId));
  if (openId && !stage.masked.shown) stage.masked.toggle();
}

async function undo(redo, edit) {
  const answer = await takeBackIn(store, send, `${api}/undo`, { redo, ...(edit && { edit }) });
  if (answer) say(answer.said);
}

function neighbour(step) {
  const at = photos.indexOf(photo) + step + photos.length;
  leaveTo(`/photos/${photos[at % photos.length].id}`);
}

listenUndo(undo);
listen([
  {
    keys: ["delete"],
    says: "drop the open region",
    run: () => open() && take((h) => without(h, openId), label("drop")),
  },
  { keys: ["e"], says: "the whole window for the photo, and back", run: () => around.toggleWhole() },
  { keys: ["escape"], says: "back from the whole window", run: () => around.leaveWhole() },
  ...stageKeys(stage, painting.brush, { masked: () => openId !== null, neighbour, undo }),
]);
showUndo(state.undo);
show();
stage.refresh();
