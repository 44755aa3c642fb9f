import { test } from "node:test";
import assert from "node:assert/strict";
import { changed, described, doubled, dropped, hung, newVeil, placedAt, setTo } from "../../main/resources/static/js/bench/effect.js";

const kind = { id: "light", label: "Light", settings: [{ key: "exposure", start: 0 }, { key: "tint", start: 0 }] };
const empty = { edition: 1, note: "", veils: [] };
const three = ["a", "b", "c"].reduce((e, id) => hung(e, newVeil(kind, e, id)), empty);
const ids = (effect) => effect.veils.map((v) => v.id).join("");

test("a new veil has every setting at its start and changes nothing", () => {
  const veil = newVeil(kind, empty, "x");
  assert.deepEqual(veil.settings, { exposure: 0, tint: 0 });
  assert.equal(veil.opacity, 1);
  assert.equal(veil.mask.cover, "everywhere");
});

test("veils of one kind are told apart by number", () => {
  assert.deepEqual(three.veils.map((v) => v.name), ["Light", "Light 2", "Light 3"]);
});

test("a veil is hung behind the open one, or last", () => {
  assert.equal(ids(hung(three, { id: "x" }, "a")), "axbc");
  assert.equal(ids(hung(three, { id: "x" }, null)), "abcx");
});

test("moving keeps all veils", () => {
  assert.equal(ids(placedAt(three, "a", 2)), "bca");
  assert.equal(ids(placedAt(three, "c", 0)), "cab");
});

test("changes leave the old effect as it was", () => {
  const before = JSON.stringify(three);
  setTo(three, "b", "exposure", 1);
  changed(three, "a", { opacity: 0.2 });
  dropped(three, "c");
  placedAt(three, "a", 1);
  assert.equal(JSON.stringify(three), before);
});

test("one setting of one veil is changed", () => {
  const next = setTo(three, "b", "exposure", 1.5);
  assert.deepEqual(next.veils.map((v) => v.settings.exposure), [0, 1.5, 0]);
});

test("a doubled veil hangs right behind its origin, under an id of its own", () => {
  const next = doubled(setTo(three, "a", "tint", 9), "a", "z");
  assert.equal(ids(next), "azbc");
  assert.equal(next.veils[1].settings.tint, 9);
});

test("what a veil does is said in words too, not by its look alone", () => {
  const veil = { ...three.veils[0], lifted: true, mask: { cover: "brush-on" } };
  assert.equal(described(veil, kind), "Light · brush on · lifted");
});

test("a mask by rule starts with one rule at its start, and is everywhere again without rules", async () => {
  const { newRule, ruled, ruleChanged, withRule, withoutRule } = await import("../../main/resources/static/js/bench/rules.js");
  const sort = { id: "brightness", settings: [{ key: "from", start: 0 }, { key: "to", start: 100 }] };
  const mask = ruled(sort);
  assert.deepEqual(mask.rules[0], newRule(sort));
  assert.deepEqual(mask.rules[0].settings, { from: 0, to: 100 });
  const two = ruleChanged(withRule(mask, sort), 1, { join: "minus" });
  assert.deepEqual(two.rules.map((r) => r.join), ["and", "minus"]);
  assert.equal(mask.rules.length, 1);
  assert.equal(withoutRule(two, 0).rules[0].join, "minus");
  assert.deepEqual(withoutRule(mask, 0), { cover: "everywhere" });
});
