import { test } from "node:test";
import assert from "node:assert/strict";
import { coarseness } from "../../../main/resources/static/js/photo/stage/pace.js";

test("a quick picture is fine while the hand moves, a slow one coarser, never below half", () => {
  assert.equal(coarseness(0), 1);
  assert.equal(coarseness(65), 1);
  assert.equal(coarseness(120), Math.sqrt(0.5));
  assert.equal(coarseness(5000), 0.5);
  assert.ok(coarseness(200) < coarseness(100));
});
