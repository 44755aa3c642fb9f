// The page of a collection: saved as it is changed, in order, each change on the state that was stored
// last; what is looked at before it leaves follows every save.
import { element } from "../../base/web/element.js";
import { gesture } from "../../base/web/gesture.js";
import { send } from "../../base/web/http.js";
import { fetchResult, follow, howFar } from "../../base/web/jobs.js";
import { reload, watch } from "../../base/web/leaving.js";
import { making } from "../../base/web/making.js";
import { savedLine } from "../../base/web/saved-line.js";
import { say, sayAfterReload, sayFault } from "../../base/web/say.js";
import { Store } from "../../base/web/store.js";
import { Checks } from "./checks.js";
import { tickSection } from "./contents.js";
import { showFields, typedIn } from "./fields.js";
import { listenMaker } from "./maker.js";
import { SinceList, summary } from "./since.js";
import { listenStall } from "./stall.js";
import { Tree } from "./tree.js";

const root = document.querySelector("[data-collection]");
const { id } = root.dataset;
const { kits } = JSON.parse(root.dataset.tree);
const form = root.querySelector("[data-words]");
const fault = form.querySelector(".fault");
const pack = document.querySelector("[data-pack]");
const cover = {
  photo: root.querySelector("[data-cover-photo]"),
  effect: root.querySelector("[data-cover-effect]"),
  box: root.querySelector("[data-cover]"),
};
let typed = {};

const line = savedLine(show, () => store.retry());
const store = new Store(
  JSON.parse(root.dataset.state),
  "collection",
  {
    put: (...save) => send("PUT", `/api/collections/${id}`, ...save),
    get: () => send("GET", `/api/collections/${id}`),
    gesture,
  },
  {
    ...line,
    saved() {
      line.saved();
      pack.disabled = false;
      look();
    },
    fault(error, again, waits) {
      if (waits || error.stale || !typed.name) return line.fault(error, again, waits);
      document.querySelector("[data-saved]").textContent = "Not saved";
      fault.textContent = error.message;
      fault.hidden = false;
      form.elements[typed.name].value = typed.value; // what was refused stays to be mended
    },
  },
);
watch(store);

function change(fn, label) {
  fault.hidden = true;
  pack.disabled = true;
  typed = {};
  store.change(fn, label);
  show();
}

const tree = new Tree(root.querySelector("[data-tree-list]"), kits, change);
const checks = new Checks(root.querySelector(".leaving-checks"), id, goTo);
const since = new SinceList(root);
const compared = root.querySelector("[data-compared]");
const between = new SinceList(compared);

/** Brings the field that mends something under the keys, or mends it. */
function goTo(name) {
  const [act, kitId, sectionId] = name.split(":");
  if (act === "leave") return leaveOut(Number(kitId), Number(sectionId));
  const to = {
    version: form.elements.version,
    licence: form.elements.licence,
    cover: cover.photo,
    choose: root.querySelector("[data-tick]"),
  }[name];
  to?.scrollIntoView({ block: "center" });
  to?.focus();
}

function leaveOut(kitId, sectionId) {
  const kit = kits.find((k) => k.id === kitId);
  const section = kit.sections.find((s) => s.id === sectionId);
  change((doc) => tickSection(doc, kit, section, false), `leave out ${section.name}`);
}

function look() {
  checks.look();
  since
    .look(`/collections/${id}/since`, ({ last }) => (last ? `Since ${last}` : "Since the last release"), saidSince)
    .catch(sayFault);
}

function saidSince({ last, least, changes }) {
  if (!last) return ["Nothing of it was packed yet."];
  if (changes.length === 0) return ["Nothing has changed."];
  const take = element("button", { type: "button", className: "button small", textContent: `Call it ${least}` });
  take.addEventListener("click", () => change((c) => ({ ...c, version: least }), `version ${least}`));
  return [
    `${summary(changes)}: at least `,
    element("b", { textContent: least }),
    ". ",
    ...(store.doc.version === least ? [] : [take]),
  ];
}

function fillEffects() {
  const groups = kits
    .filter((k) => store.doc.kits.includes(k.id))
    .map((kit) =>
      element(
        "optgroup",
        { label: kit.name },
        ...kit.sections.flatMap((s) => s.effects.map((e) => new Option(e.name, e.id))),
      ),
    );
  cover.effect.replaceChildren(new Option("no effect", 0), ...groups);
  cover.effect.value = String(store.doc.coverEffect);
  if (cover.effect.selectedIndex < 0) cover.effect.value = "0";
}

function show() {
  showFields(form, store.doc);
  document.querySelector("[data-collection-name]").textContent = store.doc.name;
  pack.textContent = `Pack ${store.doc.version}`;
  tree.show(store.doc);
  root.querySelector("[data-tree-none]").hidden = kits.length > 0;
  cover.photo.value = String(store.doc.coverPhoto);
  fillEffects();
  showCover();
}

function showCover() {
  const { coverPhoto, coverEffect } = store.doc;
  const key = `${coverPhoto}-${coverEffect}`;
  if (cover.box.dataset.shows === key) return;
  cover.box.dataset.shows = key;
  const there = coverPhoto > 0 && coverEffect > 0;
  const picture = (after) =>
    Object.assign(new Image(), {
      alt: after ? "Cover, after" : "Cover, before",
      src: `/collections/${id}/buyer/cover?after=${after}&photo=${coverPhoto}&wears=${coverEffect}`,
    });
  cover.box.replaceChildren(
    ...(there
      ? [picture(false), picture(true)]
      : [element("p", { className: "text-muted", textContent: "No cover yet: choose a photo and what it wears." })]),
  );
}

form.addEventListener("submit", (event) => event.preventDefault());
form.addEventListener("change", ({ target }) => {
  const field = typedIn(target);
  if (!field) return;
  const { name, value, words } = field;
  change((c) => ({ ...c, [name]: value }), `${words} of ${store.doc.name}`);
  typed = { name, value };
});
cover.photo.addEventListener("change", () =>
  change((c) => ({ ...c, coverPhoto: Number(cover.photo.value) }), "photo of the cover"),
);
cover.effect.addEventListener("change", () =>
  change((c) => ({ ...c, coverEffect: Number(cover.effect.value) }), "effect of the cover"),
);

async function packed(seen) {
  const { job, asks } = await send("POST", `/api/collections/${id}/pack?seen=${seen}`);
  if (asks) {
    document.querySelector("[data-asks]").textContent =
      asks === 1 ? "One thing on the right is worth a look." : `${asks} things on the right are worth a look.`;
    return document.querySelector("#pack-all-the-same").showModal();
  }
  const label = pack.textContent;
  pack.disabled = true;
  const ended = await follow(job, (now) => (pack.textContent = now.open ? howFar(now) : label));
  pack.disabled = false;
  if (ended.state !== "done") return say([ended.said, ...ended.faults].filter(Boolean).join(" "), { fault: true });
  if (ended.result) fetchResult(ended);
  sayAfterReload(ended.said);
  reload();
}

pack.addEventListener("click", () => packed(false).catch(sayFault));
document.querySelector("[data-all-the-same]").addEventListener("submit", (event) => {
  event.preventDefault();
  event.target.closest("dialog").close();
  packed(true).catch(sayFault);
});
root.querySelector("[data-compare]")?.addEventListener("submit", async (event) => {
  event.preventDefault();
  const { one, two } = Object.fromEntries(new FormData(event.target));
  try {
    await between.look(
      `/collections/packed/${one}/${two}`,
      () => "",
      ({ changes }) => [changes.length > 0 ? summary(changes) : "They hold the same."],
    );
  } catch (error) {
    sayFault(error);
  }
});
making(root.querySelector("[data-tables]"), ({ format }) => `/api/collections/${id}/tables?format=${format}`);
making(
  root.querySelector("[data-guides]"),
  ({ release, format }) => `/api/collections/packed/${release}/guide?format=${format}`,
);
listenMaker();
listenStall(root.querySelector("[data-stall]"), id);
show();
look();
root.dataset.ready = "";
