import { test } from "node:test";
import assert from "node:assert/strict";
import { cloth, dropOf, folds, ghost, opacityAt, roll } from "../../../main/resources/static/js/wear/rail/cloth.js";

const numbers = (path) => path.match(/-?\d+(\.\d+)?/g).map(Number);

test("how far a veil is let down is its opacity, and back again", () => {
  for (const opacity of [0.08, 0.25, 0.5, 1]) assert.equal(opacityAt(dropOf(opacity, 200), 200), opacity);
});

test("opacity is held between nothing and all, in whole per cents", () => {
  assert.equal(opacityAt(-40, 200), 0);
  assert.equal(opacityAt(999, 200), 1);
  assert.equal(opacityAt(33.33, 100), 0.33);
});

test("a veil of no opacity still shows a hem to take hold of", () => {
  assert.ok(dropOf(0, 200) >= 8);
});

test("a cloth stays within its width and near its drop", () => {
  for (const width of [20, 61, 130, 400]) {
    const path = cloth(width, 120);
    assert.match(path, /^M.*Z$/);
    for (const n of numbers(path)) assert.ok(n >= 0 && n <= Math.max(width, 124), `${n} at ${width}`);
  }
});

test("folds hang from the rail and end above the hem", () => {
  for (const n of numbers(folds(100, 90))) assert.ok(n <= 100);
  assert.equal(folds(20, 50).match(/M/g).length, 1);
});

test("a rolled cloth and the outline of a full one span the width", () => {
  assert.ok(numbers(roll(80)).includes(74));
  assert.ok(numbers(ghost(80, 150)).includes(150));
});
