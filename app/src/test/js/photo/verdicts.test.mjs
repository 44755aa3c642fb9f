import { test } from "node:test";
import assert from "node:assert/strict";
import { farthest, matches, tally, verdictWords } from "../../../main/resources/static/js/photo/readings/verdicts.js";
import {
  added,
  asRegion,
  changed,
  foundBy,
  free,
  regionOf,
  share,
  without,
  words,
} from "../../../main/resources/static/js/photo/regions/held.js";

const measures = new Map([["blown", { label: "Newly blown", word: "newly blown", unit: "%" }]]);
const verdict = (state, value = 1.234) => ({ state, measure: "blown", value });

test("a verdict is a word and a number, nothing where it is within", () => {
  assert.equal(verdictWords(verdict("over"), measures), "over · newly blown 1.2 %");
  assert.equal(verdictWords(verdict("near", 0.87), measures), "near · newly blown 0.87 %");
  assert.equal(verdictWords(verdict("over", 43.6), measures), "over · newly blown 44 %");
  assert.equal(verdictWords(verdict("within"), measures), "");
  assert.equal(verdictWords(verdict("not judged"), measures), "not judged");
  assert.equal(verdictWords({ state: "not judged", words: "made for pet" }, measures), "made for pet");
  assert.equal(
    verdictWords({ ...verdict("over, accepted", 3), words: "a silhouette" }, measures),
    "over, accepted · newly blown 3 %: a silhouette",
  );
  assert.equal(verdictWords({ state: "within", words: "no lips here" }, measures), "no lips here");
});

test("what is over is also among what is near or over", () => {
  const states = ["within", "near", "over", "not judged"].map((s) => verdict(s));
  assert.deepEqual(
    states.map((v) => matches("near", v)),
    [false, true, true, false],
  );
  assert.deepEqual(
    states.map((v) => matches("over", v)),
    [false, false, true, false],
  );
  assert.ok(states.every((v) => matches("all", v)));
  assert.equal(matches("over", undefined), false);
  assert.deepEqual(tally(states), { counts: { over: 1, near: 1 }, words: "1 over, 1 near" });
  assert.deepEqual(tally([verdict("within")]), { counts: { over: 0, near: 0 }, words: "" });
});

test("what went farthest comes first, what is within never", () => {
  const made = new Map([
    ["1:1", { state: "near", share: 0.9 }],
    ["2:1", { state: "over", share: 1.4 }],
    ["3:1", { state: "within" }],
    ["4:1", { state: "over", share: 7 }],
    ["5:1", { state: "not judged", share: 0 }],
  ]);
  assert.deepEqual(farthest(made), ["4:1", "2:1", "1:1"]);
});

const kinds = [
  { id: "skin", settings: [{ key: "amount", start: 100 }] },
  { id: "picked", settings: [] },
];

test("regions are added, found by a rule that fits their name, and dropped", () => {
  const { held, id } = added({ regions: [] }, "skin");
  assert.equal(words(regionOf(held, id), 0), "empty");
  assert.equal(words(regionOf(held, id), 2), "painted");
  const ruled = foundBy(held, id, "by-rule", kinds);
  assert.equal(regionOf(ruled, id).mask.rules[0].kind, "skin");
  assert.equal(words(regionOf(ruled, id), 3), "by rule, mended");
  assert.equal(regionOf(foundBy(ruled, id, "by-rule", kinds), id).mask, regionOf(ruled, id).mask);
  assert.equal(asRegion({ cover: "everywhere" }).cover, "brush-on");
  assert.deepEqual(without(ruled, id).regions, []);
  assert.deepEqual(free(held, ["skin", "eyes"]), ["eyes"]);
});

test("a region from a picture keeps it while it is painted, and gives it up for a rule", () => {
  const { held, id } = added({ regions: [] }, "hair");
  const read = changed(held, id, { picture: "ab".repeat(32) });
  assert.equal(words(regionOf(read, id), 1), "a picture, mended");
  assert.equal(regionOf(foundBy(read, id, "brush-on", kinds), id).picture, "ab".repeat(32));
  const ruled = regionOf(foundBy(read, id, "by-rule", kinds), id);
  assert.deepEqual([ruled.picture, ruled.mask.rules[0].kind], ["", "picked"]);
});

test("only one region is what is left, and small shares are told finely", () => {
  const one = added({ regions: [] }, "a", true);
  const two = added(one.held, "b");
  const left = foundBy(two.held, two.id, "left", kinds);
  assert.deepEqual(
    left.regions.map((r) => r.left),
    [false, true],
  );
  assert.deepEqual([0, 0.0004, 0.013, 0.44].map(share), ["0 %", "0.04 %", "1.3 %", "44 %"]);
});
