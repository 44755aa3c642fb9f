import { test } from "node:test";
import assert from "node:assert/strict";
import {
  brushTarget,
  changed,
  dialled,
  dialValue,
  masked,
  maskOf,
  others,
  paintable,
  veilChanged,
  veilState,
  WHOLE,
} from "../../../main/resources/static/js/wear/fitting/wearing.js";

const veil = (id, cover, lifted = false) => ({ id, opacity: 0.8, lifted, mask: { cover } });
const worn = (effect) => ({ effect, opacity: 1, lifted: false, veils: {}, paint: {}, masks: {} });
const fitting = { worn: [worn("milk"), worn("red")] };

test("a worn effect is changed without touching the others", () => {
  const next = changed(fitting, "red", { opacity: 0.4 });
  assert.deepEqual(
    next.worn.map((w) => w.opacity),
    [1, 0.4],
  );
  assert.equal(fitting.worn[1].opacity, 1);
});

test("a veil is as the effect has it until the fitting changes it", () => {
  const v = veil("v", "everywhere");
  assert.deepEqual(veilState(fitting, "red", v), { opacity: 0.8, lifted: false, dials: {} });
  const next = veilChanged(fitting, "red", v, { lifted: true });
  assert.deepEqual(veilState(next, "red", v), { opacity: 0.8, lifted: true, dials: {} });
  const twice = veilChanged(next, "red", v, { opacity: 0.1 });
  assert.deepEqual(veilState(twice, "red", v), { opacity: 0.1, lifted: true, dials: {} });
});

test("paint can be put on every veil that is down, whatever its mask", () => {
  assert.equal(paintable(fitting, "red", veil("a", "everywhere")), true);
  assert.equal(paintable(fitting, "red", veil("a", "brush-on", true)), false);
});

const pieceOf = (...veils) => ({ key: "red", name: "Red", effect: { veils } });

test("the brush is for what waits for it until it is taken to something else, or to nothing", () => {
  const piece = pieceOf(veil("a", "everywhere"), veil("b", "brush-on", true), veil("c", "brush-on"));
  assert.equal(brushTarget(fitting, piece, undefined).id, "c");
  assert.equal(brushTarget(fitting, piece, "a").mask.cover, "everywhere");
  assert.equal(brushTarget(fitting, piece, WHOLE).name, "Red");
  assert.equal(brushTarget(fitting, piece, null), null);
  assert.equal(brushTarget(fitting, pieceOf(veil("a", "everywhere")), undefined), null);
});

test("a fitting's own mask takes the place of the effect's", () => {
  const piece = pieceOf(veil("a", "everywhere"), veil("c", "brush-on"));
  const next = masked(fitting, "red", "a", { cover: "brush-on" });
  assert.equal(brushTarget(next, piece, undefined).id, "a");
  assert.equal(brushTarget(masked(next, "red", WHOLE, { cover: "brush-on" }), piece, undefined).id, WHOLE);
  assert.equal(maskOf(fitting, piece, "a").cover, "everywhere");
});

test("paint of a veil that follows another is the other's, until it has a mask of its own", () => {
  const more = { ...veil("more", ""), mask: { cover: "as-veil", veil: "eyes" } };
  const piece = pieceOf(veil("eyes", "brush-on"), more);
  assert.deepEqual(
    { ...brushTarget(fitting, piece, "more") },
    { id: "eyes", of: "more", name: undefined, meantFor: undefined, mask: { cover: "brush-on" } },
  );
  const own = masked(fitting, "red", "more", { cover: "everywhere" });
  assert.equal(brushTarget(own, piece, "more").id, "more");
});

test("a mask is copied from anything worn but itself", () => {
  const piece = pieceOf({ ...veil("a", "everywhere"), name: "A" });
  assert.deepEqual(
    others(fitting, [piece], "red", "a").map((o) => o.words),
    ["Red, the whole"],
  );
  assert.deepEqual(
    others(fitting, [piece], "milk", "a").map((o) => o.words),
    ["Red, the whole", "Red: A"],
  );
});

test("a dial starts at its veil's value, is turned in this fitting, and never leaves its range", () => {
  const own = { ...veil("v", "everywhere"), settings: { glow: 40 } };
  const dial = { veil: "v", key: "glow", label: "Glow", min: 0, max: 60 };
  const piece = { key: "red", effect: { veils: [own], dials: [dial] } };
  assert.equal(dialValue(fitting, piece, dial), 40);
  const turned = dialled(fitting, piece, dial, 55);
  assert.equal(dialValue(turned, piece, dial), 55);
  assert.equal(dialValue(dialled(turned, piece, dial, 90), piece, dial), 60);
  assert.deepEqual(veilState(turned, "red", own), { opacity: 0.8, lifted: false, dials: { glow: 55 } });
});
