import { test } from "node:test";
import assert from "node:assert/strict";
import { brushedVeil, changed, dialled, dialValue, paintable, veilChanged, veilState } from "../../main/resources/static/js/fitting/wearing.js";

const veil = (id, cover, lifted = false) => ({ id, opacity: 0.8, lifted, mask: { cover } });
const worn = (effect) => ({ effect, opacity: 1, lifted: false, veils: {}, paint: {} });
const fitting = { worn: [worn("milk"), worn("red")] };

test("a worn effect is changed without touching the others", () => {
  const next = changed(fitting, "red", { opacity: 0.4 });
  assert.deepEqual(next.worn.map((w) => w.opacity), [1, 0.4]);
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

test("paint can be put on every mask but everywhere, while the veil is down", () => {
  assert.equal(paintable(fitting, "red", veil("a", "by-rule")), true);
  assert.equal(paintable(fitting, "red", veil("a", "everywhere")), false);
  assert.equal(paintable(fitting, "red", veil("a", "brush-on", true)), false);
});

test("the brush is for the first brush-on veil that is down", () => {
  const effect = { veils: [veil("a", "everywhere"), veil("b", "brush-on", true), veil("c", "brush-on")] };
  assert.equal(brushedVeil(fitting, "red", effect).id, "c");
  assert.equal(brushedVeil(fitting, "red", { veils: [veil("a", "everywhere")] }), null);
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
