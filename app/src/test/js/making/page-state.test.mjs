import { test } from "node:test";
import assert from "node:assert/strict";
import * as bench from "../../../main/resources/static/js/making/bench/page-state.js";
import * as room from "../../../main/resources/static/js/wear/fitting/page-state.js";

const veil = (id, cover = "everywhere") => ({ id, opacity: 1, lifted: false, mask: { cover } });
const worn = (effect) => ({ effect, opacity: 1, lifted: false, veils: {}, masks: {} });
const fitting = { worn: [worn("milk"), worn("red")] };
const piece = (key, ...veils) => [key, { key, name: key, effect: { veils } }];
const pieces = new Map([piece("milk", veil("m")), piece("red", veil("r"), veil("b", "brush-on"))]);

test("a fitting opens on what was put on last, and what is taken off is no longer open", () => {
  const state = room.begun(fitting);
  assert.equal(state.openKey, "red");
  const less = { worn: [worn("milk")] };
  assert.equal(room.fitted(state, less, pieces).openKey, "milk");
  assert.equal(room.fitted(state, { worn: [] }, pieces).openKey, null);
});

test("an effect picked again unfolds, and folds when it is no longer known", () => {
  const once = room.picked(room.begun(fitting), "milk");
  assert.equal(once.unfolded, false);
  const twice = room.picked(once, "milk");
  assert.equal(twice.unfolded, true);
  assert.equal(room.fitted(twice, fitting, new Map()).unfolded, false);
});

test("the brush is for what waits until it is taken elsewhere, and the same again lays it down", () => {
  const state = room.begun(fitting);
  assert.equal(room.brushed(state, fitting, pieces).of, "b");
  const taken = room.brushedWith(state, "r", room.brushed(state, fitting, pieces));
  assert.equal(room.brushed(taken, fitting, pieces).of, "r");
  const down = room.brushedWith(taken, "r", room.brushed(taken, fitting, pieces));
  assert.equal(room.brushed(down, fitting, pieces), null);
  assert.equal(room.brushed(room.opened(down, "red"), fitting, pieces).of, "b");
});

test("what is looked at is asked for and named instead of what is worn", () => {
  const state = room.begun(fitting);
  assert.deepEqual(room.request(state, fitting, { veil: "b" }), { fitting, veil: "b" });
  assert.deepEqual(room.request(room.tried(state, "milk"), fitting, {}), { try: "milk" });
  const peeked = room.peekedAt(state, { pin: 3 }, "Pin 3");
  assert.deepEqual(room.request(peeked, fitting, {}), { pin: 3 });
  assert.equal(room.words(peeked, new Map()), "Pin 3");
  assert.equal(room.words(room.peekedAt(peeked, null), new Map()), "");
});

test("at the bench a veil that is gone is not open, and opening another shows all again", () => {
  const state = bench.seen(bench.opened(bench.begun(), "a"), "only");
  assert.equal(state.way, "only");
  assert.equal(bench.seen(state, "only").way, "all");
  assert.equal(bench.opened(state, "b").way, "all");
  assert.equal(bench.fitted(state, { veils: [] }).openId, null);
  assert.equal(bench.seen(bench.begun(), "only").way, "all");
});

test("a request at the bench is for the way of looking, or for what is peeked at, with the stroke under the hand", () => {
  const effect = { veils: [veil("a"), veil("b", "brush-on")], dials: [] };
  const state = bench.seen(bench.opened(bench.begun(), "a"), "only");
  const asked = bench.request(state, effect, { photo: 7 }, { stroke: "s", veil: "b", photo: {} });
  assert.deepEqual([asked.photo, asked.stroke, asked.veil, asked.effect.veils[1].lifted], [7, "s", "b", true]);
  assert.equal(bench.request(bench.peekedAt(state, "other"), effect, { photo: 7 }, null).effect, "other");
});
