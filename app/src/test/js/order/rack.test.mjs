import assert from "node:assert/strict";
import { test } from "node:test";
import { asRack, countWords, holds, toggled } from "../../../main/resources/static/js/order/find/find-state.js";
import { besides } from "../../../main/resources/static/js/order/rack/moves.js";
import {
  gapAt,
  inSight,
  left,
  numberOf,
  put,
  sectionPut,
  slotBy,
  slotOf,
  slots,
  touched,
} from "../../../main/resources/static/js/order/rack/rack-state.js";
import { numberOf as typed } from "../../../main/resources/static/js/order/rack/series.js";

const section = (id, effects, folded = false) => ({ id, number: id, name: `S${id}`, folded, effects });
const rack = { sections: [section(1, [11, 12, 13]), section(2, []), section(3, [31, 32])], effects: [] };
const hung = (r) => r.sections.map((s) => s.effects);

test("picked effects are put before another in the order in which they hang", () => {
  assert.deepEqual(hung(put(rack, new Set([32, 11]), 1, 13)), [[12, 11, 32, 13], [], [31]]);
  assert.deepEqual(hung(put(rack, new Set([12]), 2)), [[11, 13], [12], [31, 32]]);
});

test("put before one of themselves they go to the end of what stays", () => {
  assert.deepEqual(hung(put(rack, new Set([11, 12]), 1, 12)), [[13, 11, 12], [], [31, 32]]);
});

test("numbers come from the order", () => {
  assert.equal(numberOf(rack, 32), "3.2");
  assert.equal(numberOf(put(rack, new Set([32]), 1, 11), 32), "1.1");
});

test("there is a slot before every effect that stays and one at the end of each section", () => {
  assert.equal(slots(rack, new Set([12])).length, 3 + 1 + 3);
  assert.deepEqual(slots(rack, new Set([12]))[slotOf(rack, new Set([12]))], {
    section: 1,
    before: 13,
    place: 2,
    of: 3,
  });
});

test("keys lead from slot to slot and to the same place of the next section", () => {
  const ids = new Set([12]);
  const at = slotOf(rack, ids);
  const to = (key, from) => slots(rack, ids)[slotBy(rack, ids, from, key)];
  assert.deepEqual(to("ArrowRight", at).place, 3);
  assert.deepEqual([to("ArrowDown", at).section, to("ArrowDown", at).place], [2, 1]);
  assert.equal(slotBy(rack, ids, 0, "ArrowLeft"), 0);
  assert.equal(slotBy(rack, ids, at, "ArrowUp"), at);
});

test("what is folded is not in sight, and what is gone is not picked", () => {
  assert.deepEqual(inSight({ sections: [section(1, [1], true), section(2, [2])] }), [2]);
  assert.deepEqual([...left(rack, new Set([12, 99]))], [12]);
});

test("a section is put before another and all are numbered anew", () => {
  assert.deepEqual(
    sectionPut(rack, 3, 1).sections.map((s) => [s.number, s.id]),
    [
      [1, 3],
      [2, 1],
      [3, 2],
    ],
  );
  assert.deepEqual(
    sectionPut(rack, 1, null).sections.map((s) => s.id),
    [2, 3, 1],
  );
});

const box = (id, column, row) => ({
  id,
  left: column * 100,
  right: column * 100 + 80,
  top: row * 100,
  bottom: row * 100 + 80,
});
const boxes = [box(1, 0, 0), box(2, 1, 0), box(3, 2, 0), box(4, 0, 1), box(5, 1, 1)];

test("the gap is beside the nearest piece of the row", () => {
  assert.equal(gapAt(boxes, 110, 40).before, 2);
  assert.equal(gapAt(boxes, 170, 40).before, 3);
  assert.equal(gapAt(boxes, 400, 140).before, null);
  assert.deepEqual(gapAt([], 0, 0), { before: null, at: null, after: false });
});

test("a drawn box picks what it touches", () => {
  assert.deepEqual(touched(boxes, { left: 70, right: 120, top: 70, bottom: 110 }), [1, 2, 4, 5]);
  assert.deepEqual(touched(boxes, { left: 82, right: 98, top: 0, bottom: 200 }), []);
});

test("arrow keys lead along the row and to the nearest of the next", () => {
  assert.equal(besides(boxes, 3, "ArrowRight"), 4);
  assert.equal(besides(boxes, 3, "ArrowDown"), 5);
  assert.equal(besides(boxes, 5, "ArrowUp"), 2);
  assert.equal(besides(boxes, 1, "ArrowUp"), null);
  assert.equal(besides(boxes, 2, "End"), 5);
});

test("values are typed with commas, minus signs and thirds", () => {
  assert.deepEqual(["0,5", "−1 1/3", "1/3", "⅔", "+2"].map(typed), [0.5, -(1 + 1 / 3), 1 / 3, 2 / 3, 2]);
  assert.ok(Number.isNaN(typed("soft")) && Number.isNaN(typed("")) && Number.isNaN(typed("1.2.3")));
});

test("a phrase is put to what is typed and taken out again whole", () => {
  assert.equal(toggled("milk", "no note"), "milk no note");
  assert.equal(toggled("milk No note air", "no note"), "milk air");
  assert.ok(holds("milk, has Soft", "has soft"));
  assert.ok(!holds("has softer", "has soft"));
});

test("kits that were found are sections, and what was found is told in numbers", () => {
  const found = {
    asked: true,
    count: 1,
    kits: [{ id: 4, name: "K", photo: 2, effects: [{ id: 9 }] }],
    swatches: [],
    collections: [1, 2],
  };
  assert.equal(asRack(found).effects[0].photo, 2);
  assert.equal(countWords(found), "1 effect, 2 collections");
  assert.equal(countWords({ ...found, count: 0, collections: [] }), "Nothing is like that.");
});
