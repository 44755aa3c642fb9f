import assert from "node:assert/strict";
import { test } from "node:test";
import { wayTo } from "../../../main/resources/static/js/leaving/collections/checks.js";
import {
  countOf,
  goesIn,
  inOrder,
  kitWords,
  moveKit,
  tickEffect,
  tickKit,
  tickOf,
  tickSection,
} from "../../../main/resources/static/js/leaving/collections/contents.js";
import { summary } from "../../../main/resources/static/js/leaving/collections/since.js";

const section = (id, ...effects) => ({ id, name: `S${id}`, effects: effects.map((e) => ({ id: e })) });
const willow = { id: 1, name: "Willow", sections: [section(11, 101, 102), section(12, 103)] };
const larch = { id: 2, name: "Larch", sections: [section(21, 201)] };
const empty = { kits: [], withoutSections: [], withoutEffects: [] };
const [looks, finish] = willow.sections;

test("a kit that is ticked goes in whole, and nothing is remembered of one that is left out", () => {
  const whole = tickKit(empty, willow, true);
  assert.equal(kitWords(whole, willow), "3");
  const some = tickEffect(tickSection(whole, willow, finish, false), willow, looks, looks.effects[0], false);
  assert.equal(kitWords(some, willow), "1 of 3");
  assert.deepEqual(tickKit(some, willow, false), empty);
  assert.equal(kitWords(empty, willow), "left out");
});

test("a section is ticked in part while one of its effects stays out", () => {
  const whole = tickKit(empty, willow, true);
  const some = tickEffect(whole, willow, looks, looks.effects[0], false);
  assert.deepEqual(tickOf(some, willow, looks), { ticked: true, partly: true });
  assert.deepEqual(countOf(some, willow, looks), { n: 1, of: 2 });
  assert.equal(goesIn(some, willow, looks, looks.effects[0]), false);
  assert.deepEqual(tickSection(some, willow, looks, true), whole);
  assert.deepEqual(tickOf(tickEffect(some, willow, looks, looks.effects[1], false), willow, looks).ticked, false);
});

test("one effect of what is left out brings itself alone", () => {
  const alone = tickEffect(empty, willow, looks, looks.effects[1], true);
  assert.deepEqual(alone, { kits: [1], withoutSections: [12], withoutEffects: [101] });
  assert.deepEqual(tickSection(empty, willow, finish, true), { kits: [1], withoutSections: [11], withoutEffects: [] });
});

test("kits are moved within what goes in, and those that are left out stand last", () => {
  const both = tickKit(tickKit(empty, willow, true), larch, true);
  const moved = moveKit(both, 2, -1);
  assert.deepEqual(moved.kits, [2, 1]);
  assert.equal(moveKit(moved, 2, -1), moved);
  assert.equal(moveKit(empty, 2, 1), empty);
  assert.deepEqual(
    inOrder(tickKit(moved, larch, false), [larch, willow]).map((k) => k.id),
    [1, 2],
  );
});

test("each fault leads to where it is mended", () => {
  assert.equal(wayTo({ way: "build", kit: 1, effects: [7] }), "/bench/7");
  assert.equal(wayTo({ way: "compare", kit: 1, effects: [7, 8] }), "/proofs/1#view=alike");
  assert.equal(wayTo({ way: "look", kit: 1, effects: [7], photo: 3 }), "/proofs/1#cell=7:3");
  assert.equal(wayTo({ way: "version", kit: 0, effects: [] }), "#version");
});

test("what changed is counted and told in words", () => {
  const changes = [{ sort: "look" }, { sort: "look" }, { sort: "new" }, { sort: "same-look" }];
  assert.equal(summary(changes), "1 looks as before, 1 new, 2 look different");
});
