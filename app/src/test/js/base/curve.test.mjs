import { test } from "node:test";
import assert from "node:assert/strict";
import { added, between, moved, removed } from "../../../main/resources/static/js/base/editors/curve-points.js";
import { monotone } from "../../../main/resources/static/js/base/editors/monotone.js";

const bounds = { minPoints: 2, maxPoints: 4, minGap: 0.01 };
const line = [
  [0, 0],
  [1, 1],
];

test("a point is added in its place from left to right", () => {
  const more = added(line, [0.4, 0.6], bounds);
  assert.deepEqual(more.points, [
    [0, 0],
    [0.4, 0.6],
    [1, 1],
  ]);
  assert.equal(more.index, 1);
});

test("no point is added on top of another nor beyond the most", () => {
  assert.equal(added(line, [0.005, 0.5], bounds), null);
  const full = [
    [0, 0],
    [0.3, 0.3],
    [0.6, 0.6],
    [1, 1],
  ];
  assert.equal(added(full, [0.8, 0.8], bounds), null);
});

test("a point that is moved stays between its neighbours", () => {
  const points = [
    [0, 0],
    [0.5, 0.5],
    [1, 1],
  ];
  assert.deepEqual(moved(points, 1, [2, 3], 0.01)[1], [0.99, 1]);
  assert.deepEqual(moved(points, 1, [-1, -1], 0.01)[1], [0.01, 0]);
  assert.deepEqual(moved(points, 0, [0.2, 0.1], 0.01)[0], [0.2, 0.1]);
});

test("the fewest points cannot be removed", () => {
  assert.equal(removed(line, 0, bounds), line);
  assert.deepEqual(
    removed(
      [
        [0, 0],
        [0.5, 0.2],
        [1, 1],
      ],
      1,
      bounds,
    ),
    line,
  );
});

test("two points are drawn as a straight line", () => {
  const at = monotone([
    [0.2, 0.1],
    [0.8, 0.7],
  ]);
  assert.ok(Math.abs(at(0.5) - 0.4) < 1e-12);
  assert.equal(at(0), 0.1);
  assert.equal(at(1), 0.7);
});

test("the drawn line passes its points and never runs past them (Steffen 1990)", () => {
  const points = [
    [0, 0.05],
    [0.2, 0.5],
    [0.4, 0.45],
    [0.7, 0.9],
    [1, 0.95],
  ];
  const at = monotone(points);
  for (const [x, y] of points) assert.ok(Math.abs(at(x) - y) < 1e-12);
  for (let i = 0; i + 1 < points.length; i += 1) {
    const [low, high] = [points[i][1], points[i + 1][1]].sort((a, b) => a - b);
    for (let k = 0; k <= 20; k += 1) {
      const v = at(points[i][0] + ((points[i + 1][0] - points[i][0]) * k) / 20);
      assert.ok(v >= low - 1e-12 && v <= high + 1e-12);
    }
  }
});

/** Worked by hand from Steffen's equations 8 and 11: equal steps, secants 1 and 0.5. */
test("slopes at a point are those of the published formula", () => {
  const at = monotone([
    [0, 0],
    [0.5, 0.5],
    [1, 0.75],
  ]);
  const slope = (at(0.5 + 1e-6) - at(0.5)) / 1e-6;
  assert.ok(Math.abs(slope - 0.75) < 1e-4);
});

test("cells of a table stand in the rows and columns of their descriptors", async () => {
  const { layout } = await import("../../../main/resources/static/js/base/editors/matrix.js");
  const settings = [
    ["Cyan", "Reds"],
    ["Cyan", "Blues"],
    ["Black", "Reds"],
    ["Black", "Blues"],
  ].map(([row, column]) => ({ row, column }));
  assert.deepEqual(layout(settings), { rows: ["Cyan", "Black"], columns: ["Reds", "Blues"] });
});

test("a cell moves in steps and stays within its range", async () => {
  const { stepped } = await import("../../../main/resources/static/js/base/editors/steps.js");
  const setting = { start: 0, step: 1, min: -100, max: 100 };
  assert.equal(stepped(setting, 7.4, 3), 10);
  assert.equal(stepped(setting, 98, 30), 100);
  assert.equal(stepped(setting, -98, -30), -100);
});

test("a point added by keys lies on the curve, half-way to the next", () => {
  const points = [
    [0, 0],
    [0.5, 0.8],
    [1, 1],
  ];
  const at = monotone(points);
  const more = between(points, 0, at, bounds);
  assert.equal(more.index, 1);
  assert.deepEqual(more.points[1], [0.25, at(0.25)]);
  assert.equal(between(points, 2, at, bounds).points[2][0], 0.75);
});
