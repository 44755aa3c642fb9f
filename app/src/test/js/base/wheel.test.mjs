import { test } from "node:test";
import assert from "node:assert/strict";
import { patchesOf, sector } from "../../../main/resources/static/js/base/editors/wheel.js";

const setting = (column, columnHue) => ({
  key: column,
  row: "Cyan",
  column,
  ...(columnHue !== undefined && { columnHue }),
});

test("patches stand evenly in wheel order, from the first hue on; greys have no angle", () => {
  const { hues, greys } = patchesOf([
    setting("Clover", 145),
    setting("Poppy", 30),
    setting("Darks"),
    setting("Lagoon", 195),
    setting("Cobalt", 262),
    setting("Lights"),
  ]);
  assert.deepEqual(
    hues.map((h) => h.column),
    ["Poppy", "Clover", "Lagoon", "Cobalt"],
  );
  assert.deepEqual(
    hues.map((h) => h.middle),
    [30, 120, 210, 300],
  );
  hues.forEach(({ low, high }, i) => assert.ok(low > (hues[i - 1]?.high ?? -Infinity) && high > low));
  assert.deepEqual(
    greys.map((g) => g.column),
    ["Darks", "Lights"],
  );
});

test("a patch is a piece of a ring, counted from the right against the clock", () => {
  const [, x, y] = /^M(\S+) (\S+)A/.exec(sector(10, 20, 0, 90)).map(Number);
  assert.deepEqual([x, Math.abs(y)], [10, 0]);
  assert.match(sector(10, 20, 0, 90), /L-?0\.00 -20\.00/); // up is 90 degrees
});
