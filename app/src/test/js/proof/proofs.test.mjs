import { test } from "node:test";
import assert from "node:assert/strict";
import { along } from "../../../main/resources/static/js/proof/proofs/measure-line.js";
import { points } from "../../../main/resources/static/js/proof/proofs/curve.js";
import { counting, withLimit } from "../../../main/resources/static/js/proof/proofs/limits.js";
import {
  cellSize,
  inSight,
  layout,
  lefts,
  looking,
  newSheet,
  photoChoices,
  taken,
} from "../../../main/resources/static/js/proof/proofs/sheet-state.js";
import { spread } from "../../../main/resources/static/js/proof/proofs/spread.js";
import { startingAt, toggled } from "../../../main/resources/static/js/making/bench/words.js";
import { grouped, known, photoOf, seen } from "../../../main/resources/static/js/photo/photos/wall-state.js";
import { picked } from "../../../main/resources/static/js/base/web/picked.js";

const data = {
  sections: [
    [1, "1 Looks"],
    [2, "2 Finish"],
  ],
  effects: [
    [10, "Milk", 1],
    [11, "Oat", 1],
    [20, "Rim", 2],
  ],
  photos: [
    [5, "Ann", 3, 2, ["portrait"], ["skin"]],
    [6, "Cat", 3, 2, ["pet"], ["fur"]],
    [7, "Bee", 3, 2, ["portrait", "too dark"], ["skin", "hair"]],
  ],
};
const whole = {
  rows: [
    [5, "111"],
    [6, "111"],
    [7, "110"],
  ],
  marks: [
    [11, 6, "over", "blown", 4, 4, ""],
    [10, 7, "near", "halo", 2.9, 0.95, ""],
    [20, 6, "not judged", "", 0, 0, "no lips here"],
  ],
  done: 8,
  total: 9,
  since: 3,
};
const sheet = taken(newSheet(data), whole);
const laid = (s) => [layout(s).columns.map((c) => c.id), layout(s).rows.map((p) => p.id)];

test("a sheet takes what is there, then what is new", () => {
  assert.equal(sheet.cells.get("10:5").state, "within");
  assert.equal(sheet.cells.has("20:7"), false);
  const more = taken(sheet, { made: [[20, 7, "over", "blown", 2, 2, ""]], since: 4 });
  assert.equal(more.done, 9);
  assert.equal(more.cells.get("20:7").share, 2);
  assert.equal(more.cells.get("20:7").made, 1, "its picture is another now");
  assert.equal(taken(more, { ...whole, since: 5 }).cells.has("20:7"), false, "all is taken whole");
});

test("what is looked at is laid out, groups by section begin with a gap", () => {
  assert.deepEqual(laid(sheet), [
    [10, 11, 20],
    [5, 6, 7],
  ]);
  assert.deepEqual(
    layout(sheet).columns.map((c) => c.first),
    [true, false, true],
  );
  assert.deepEqual(laid(looking(sheet, { wanted: "over" })), [[11], [6]]);
  assert.deepEqual(laid(looking(sheet, { wanted: "near" })), [
    [10, 11],
    [6, 7],
  ]);
  assert.deepEqual(
    laid(looking(sheet, { section: "2" })),
    [[20], [5, 7, 6]],
    "a photo of which nothing is judged comes last",
  );
  assert.deepEqual(laid(looking(sheet, { photos: "tag:portrait" }))[1], [5, 7]);
  assert.deepEqual(laid(looking(sheet, { photos: "region:fur" }))[1], [6]);
  assert.deepEqual(laid(looking(sheet, { order: "worst" })), [
    [11, 10, 20],
    [6, 7, 5],
  ]);
  const { at, whole: wide } = lefts(layout(sheet).columns, 100);
  assert.deepEqual(at, [0, 106, 228]);
  assert.equal(wide, 328);
  assert.deepEqual(photoChoices(sheet), { tags: ["pet", "portrait", "too dark"], regions: ["fur", "hair", "skin"] });
});

test("only what is in sight is drawn, and cells fill the room", () => {
  const starts = Array.from({ length: 100 }, (_, i) => i * 110);
  assert.deepEqual(inSight(starts, 104, 1000, 1500), [9, 13]);
  assert.deepEqual(inSight(starts, 104, -500, 50), [0, 0]);
  for (const size of ["small", "medium", "large"]) {
    const n = Math.floor(900 / (cellSize(size, 900).width + 6));
    assert.ok(900 - n * (cellSize(size, 900).width + 6) < 40, `${size} leaves no empty column`);
  }
});

test("pictures on a map lie inside it and none on another, near to where they belong", () => {
  let seed = 7;
  const random = () => (seed = (seed * 16807) % 2147483647) / 2147483647 - 0.5;
  const size = { width: 66, height: 64 };
  const box = { width: 890, height: 690 };
  for (const n of [1, 24, 65]) {
    const places = Array.from({ length: n }, () => [random() ** 3 * 80, random() ** 3 * 30]);
    const at = spread(places, box, size);
    for (const [i, a] of at.entries()) {
      assert.ok(
        a[0] >= 0 && a[1] >= 0 && a[0] + size.width <= box.width && a[1] + size.height <= box.height,
        `${i} is inside`,
      );
      for (const b of at.slice(i + 1))
        assert.ok(Math.abs(a[0] - b[0]) >= size.width || Math.abs(a[1] - b[1]) >= size.height, "none lies on another");
    }
  }
  const far = spread(
    [
      [-10, 0],
      [10, 0],
      [0, 10],
      [0, -10],
    ],
    box,
    size,
  );
  assert.ok(far[0][0] < 10 && far[1][0] > 800 && far[2][1] > 600 && far[3][1] < 10);
  assert.equal(
    spread(
      Array.from({ length: 40 }, () => [0, 0]),
      { width: 200, height: 100 },
      size,
    ).length,
    40,
    "where there is no room they go on below",
  );
});

test("a section's limits count over the kit's, and can be given back", () => {
  const measures = [
    { id: "blown", start: 1 },
    { id: "halo", start: 3 },
  ];
  const [blown, halo] = counting(measures, { blown: 2, halo: "off" }, { halo: 5 });
  assert.deepEqual([blown.bound, blown.off, blown.own], [2, false, false]);
  assert.deepEqual([halo.bound, halo.off, halo.own], [5, false, true]);
  assert.deepEqual(
    counting(measures, {}, null).map((m) => [m.bound, m.own]),
    [
      [1, false],
      [3, false],
    ],
  );
  assert.deepEqual(withLimit({ blown: 2 }, "blown", undefined), {});
  assert.deepEqual(withLimit({}, "halo", "off"), { halo: "off" });
});

test("a limit is drawn at one place whatever it is, and a curve ends at its upper edge", () => {
  assert.equal(along(1), 60);
  assert.equal(along(40), 100);
  const [first, last] = points([
    [0, 0, 5],
    [1, 90, 0],
  ])
    .split(" ")
    .map((p) => p.split(",").map(Number));
  assert.ok(first[0] < last[0] && first[1] > last[1] && last[1] >= 0);
});

test("an effect says for which photos it is made and at what it goes on", () => {
  assert.deepEqual(toggled(["pet"], "too dark"), ["pet", "too dark"]);
  assert.deepEqual(toggled(["pet", "too dark"], "pet"), ["too dark"]);
  assert.deepEqual(startingAt({ note: "" }, 0.6), { note: "", start: 0.6 });
  assert.deepEqual(startingAt({ note: "", start: 0.6 }, 1), { note: "" });
});

const wall = known(
  [
    [1, "Dog", 3, 2, ["pet"]],
    [2, "Ann", 3, 2, ["portrait", "too dark"]],
    [3, "Bee", 3, 2, []],
  ].map(photoOf),
  { 1: ["fur · L* 20", "fur", 20, -100], 2: ["tan skin · L* 40", "tan skin", 40, 20] },
);

test("photos are found by name, tag or fact, put in order and in groups", () => {
  const names = (some) => some.map((p) => p.name);
  assert.deepEqual(names(seen(wall, { words: "SKIN dark" })), ["Ann"]);
  assert.deepEqual(names(seen(wall, { tag: "pet" })), ["Dog"]);
  assert.deepEqual(names(seen(wall, { order: "name" })), ["Ann", "Bee", "Dog"]);
  assert.deepEqual(names(seen(wall, { order: "depth" }))[0], "Ann");
  const groups = [{ label: "Sort", tags: ["newborn", "portrait", "pet"] }];
  assert.deepEqual(
    grouped(wall, "Sort", groups).map(([name, some]) => [name, names(some)]),
    [
      ["portrait", ["Ann"]],
      ["pet", ["Dog"]],
      ["none of these", ["Bee"]],
    ],
  );
  assert.deepEqual(
    grouped(wall, "subject", groups).map(([name]) => name),
    ["fur", "tan skin", "none of these"],
  );
});

test("several photos are picked one more at a time, or all up to one", () => {
  const order = [1, 2, 3, 4];
  assert.deepEqual([...picked(new Set([1]), order, 3, { ctrl: true })], [1, 3]);
  assert.deepEqual([...picked(new Set([1, 3]), order, 3, { ctrl: true })], [1]);
  assert.deepEqual([...picked(new Set([2]), order, 4, { shift: true, last: 2 })], [2, 3, 4]);
  assert.deepEqual([...picked(new Set([2]), order, 2)], []);
});
