import { test } from "node:test";
import assert from "node:assert/strict";
import {
  changed,
  described,
  doubled,
  dropped,
  hung,
  movedTogether,
  newVeil,
  placedAt,
  setTo,
  toFollow,
  underBrush,
} from "../../../main/resources/static/js/making/bench/effect.js";

const kind = {
  id: "light",
  label: "Light",
  settings: [
    { key: "exposure", start: 0 },
    { key: "tint", start: 0 },
  ],
};
const empty = { edition: 1, note: "", veils: [], dials: [] };
const three = ["a", "b", "c"].reduce((e, id) => hung(e, newVeil(kind, e, id)), empty);
const ids = (effect) => effect.veils.map((v) => v.id).join("");

test("a new veil has every setting at its start and changes nothing", () => {
  const veil = newVeil(kind, empty, "x");
  assert.deepEqual(veil.settings, { exposure: 0, tint: 0 });
  assert.equal(veil.opacity, 1);
  assert.equal(veil.mask.cover, "everywhere");
});

test("veils of one kind are told apart by number", () => {
  assert.deepEqual(
    three.veils.map((v) => v.name),
    ["Light", "Light 2", "Light 3"],
  );
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
  assert.deepEqual(
    next.veils.map((v) => v.settings.exposure),
    [0, 1.5, 0],
  );
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
  const { newRule, ruled, ruleChanged, withRule, withoutRule } =
    await import("../../../main/resources/static/js/photo/mask/rules.js");
  const sort = {
    id: "brightness",
    settings: [
      { key: "from", start: 0 },
      { key: "to", start: 100 },
    ],
  };
  const mask = ruled(sort);
  assert.deepEqual(mask.rules[0], newRule(sort));
  assert.deepEqual(mask.rules[0].settings, { from: 0, to: 100 });
  const two = ruleChanged(withRule(mask, sort), 1, { join: "minus" });
  assert.deepEqual(
    two.rules.map((r) => r.join),
    ["and", "minus"],
  );
  assert.equal(mask.rules.length, 1);
  assert.deepEqual(
    withoutRule(two, 0).rules.map((r) => r.join),
    ["minus"],
    "what is kept off stays so as the first",
  );
  assert.deepEqual(withoutRule(mask, 0), { cover: "everywhere" });
});

test("a mask is kept off something and taken back, whatever it covers", async () => {
  const { guardAt, guarded } = await import("../../../main/resources/static/js/photo/mask/rules.js");
  const guard = (kind) => ({ rule: { kind, join: "minus", inverted: false, settings: { to: 1 } } });
  for (const cover of ["everywhere", "brush-on"]) {
    const off = guarded({ cover, soften: 3 }, guard("skin"));
    assert.equal(off.cover, cover === "everywhere" ? "by-rule" : cover);
    assert.deepEqual(
      off.rules.map((r) => [r.join, r.inverted]),
      [["minus", false]],
    );
    const both = guarded(off, guard("shadows"));
    assert.deepEqual([guardAt(both, guard("skin")), guardAt(both, guard("shadows"))], [0, 1]);
    const one = guarded(both, guard("skin"));
    assert.deepEqual(
      one.rules.map((r) => [r.kind, r.join, r.inverted]),
      [["shadows", "minus", false]],
      "still kept off, as the first",
    );
    assert.deepEqual(guarded(one, guard("shadows")), { cover, soften: 3 });
  }
});

test("what followed a dropped veil keeps its mask, and only what is not followed can follow", () => {
  const mask = { cover: "brush-on", soften: 2 };
  const veils = [
    { ...three.veils[0], mask },
    { ...three.veils[1], mask: { cover: "as-veil", veil: "a" } },
    three.veils[2],
  ];
  const effect = { ...three, veils };
  assert.deepEqual(dropped(effect, "a").veils[0].mask, mask);
  assert.deepEqual(toFollow(effect, "a"), []);
  assert.deepEqual(
    toFollow(effect, "c").map((v) => v.id),
    ["a"],
  );
  assert.equal(underBrush(effect, veils[1]).id, "a");
});

test("a dial goes with its veil, and its range follows the veil's value", () => {
  const dial = { veil: "a", key: "exposure", label: "Light", min: 0, max: 1 };
  const dialledOnce = { ...three, dials: [dial] };
  assert.deepEqual(setTo(dialledOnce, "a", "exposure", 2).dials, [{ ...dial, max: 2 }]);
  assert.deepEqual(setTo(dialledOnce, "a", "tint", 2).dials, [dial]);
  assert.deepEqual(dropped(dialledOnce, "a").dials, []);
  assert.deepEqual(dropped(dialledOnce, "b").dials, [dial]);
});

test("several veils move together, as far as there is room", () => {
  assert.equal(ids(movedTogether(three, ["b", "c"], -1)), "bca");
  assert.equal(ids(movedTogether(three, ["a", "b"], 1)), "cab");
  assert.equal(ids(movedTogether(three, ["a", "c"], -1)), "abc");
  assert.equal(ids(movedTogether(three, ["b"], 1)), "acb");
});

test("ways to look leave the effect as it was and show only what they say", async () => {
  const down = ({ veils }) =>
    veils
      .filter((v) => !v.lifted)
      .map((v) => v.id)
      .join("");
  const { looked } = await import("../../../main/resources/static/js/making/bench/looking.js");
  const before = JSON.stringify(three);
  assert.equal(down(looked(three, "b", "up-to").effect), "ab");
  assert.equal(down(looked(three, "b", "only").effect), "b");
  assert.equal(looked(three, "b", "without").effect.veils[1].lifted, true);
  assert.equal(looked(three, "b", "bare").bare, "b");
  assert.equal(looked(three, null, "up-to").effect, three);
  assert.equal(JSON.stringify(three), before);
});

test("a difference is brought over from the origin, alone", async () => {
  const { broughtOver } = await import("../../../main/resources/static/js/making/bench/variants.js");
  const over = (fields) => broughtOver(three, { veil: "b", key: "", value: null, at: 0, ...fields });
  assert.equal(over({ field: "settings", key: "tint", value: 7 }).veils[1].settings.tint, 7);
  assert.equal(over({ field: "opacity", value: 0.3 }).veils[1].opacity, 0.3);
  assert.equal(ids(over({ field: "veil" })), "ac");
  assert.equal(ids(over({ field: "veil", value: { id: "x" }, at: 1 })), "axbc");
  assert.equal(ids(over({ field: "order", value: ["c", "a"] })), "cba");
  const dial = { veil: "a", key: "tint", label: "Tint", min: 2, max: 4 };
  assert.deepEqual(over({ field: "dials", value: [dial] }).dials, [{ ...dial, min: 0 }]);
  assert.equal(over({ field: "note", value: "brush the eyes" }).note, "brush the eyes");
});
