import { test } from "node:test";
import assert from "node:assert/strict";
import { stepped, stepsOf } from "../../../main/resources/static/js/base/editors/steps.js";

const share = { min: -100, max: 100, step: 1, start: 0 };
const stops = { min: -5, max: 5, step: 0.01, start: 0, mark: 1 / 3 };
const near = (a, b) => assert.ok(Math.abs(a - b) < 1e-9, `${a} is not ${b}`);

test("an arrow is one step and a page ten, and the range is kept", () => {
  assert.equal(stepsOf({ key: "ArrowUp" }), 1);
  assert.equal(stepsOf({ key: "PageDown" }), -10);
  assert.equal(stepsOf({ key: "x" }), 0);
  near(stepped(share, 4, 1), 5);
  near(stepped(share, 96, 10), 100);
});

test("exposure goes from third to third, from wherever it stands", () => {
  near(stepped(stops, 0, 1), 0.33);
  near(stepped(stops, 0.33, 1), 0.67);
  near(stepped(stops, 0.67, -1), 0.33);
  near(stepped(stops, 0.5, 1), 0.67);
  near(stepped(stops, 0.5, -1), 0.33);
  near(stepped(stops, -0.33, 1), 0);
});

test("a page is a whole stop", () => {
  near(stepped(stops, 0.33, 10), 1.33);
  near(stepped(stops, 0, -10), -1);
});

test("fine steps leave the marks alone", () => {
  near(stepped(stops, 0.33, 1, true), 0.34);
});
