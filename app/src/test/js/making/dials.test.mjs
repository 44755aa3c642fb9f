import { test } from "node:test";
import assert from "node:assert/strict";
import { changed, setTo } from "../../../main/resources/static/js/making/bench/effect.js";
import { withoutRule } from "../../../main/resources/static/js/photo/mask/rules.js";
import {
  dialsOf,
  headed,
  linesOf,
  movedTo,
  renamed,
  without,
} from "../../../main/resources/static/js/wear/veil/card-lines.js";
import { handlesIn, numberOf, numbersOf, withNumber } from "../../../main/resources/static/js/wear/veil/numbers.js";
import { dialValue, reaches } from "../../../main/resources/static/js/wear/fitting/wearing.js";
import { APART, spread } from "../../../main/resources/static/js/photo/stage/spread.js";

const number = (key) => ({ key, label: key, group: "", type: "number", min: 0, max: 100, start: 0 });
const kind = { id: "light", settings: [number("exposure"), { key: "picture", type: "picture" }], handles: [] };
const shape = {
  id: "shape",
  settings: [number("x"), number("y")],
  handles: [{ label: "Shape", x: "x", y: "y", angle: "", length: "" }],
};
const skin = { id: "skin", settings: [number("amount")], handles: [] };
const sorts = [shape, skin];
const rule = (sort, settings) => ({ kind: sort, join: "and", inverted: false, settings });
const mask = { cover: "by-rule", rules: [rule("skin", { amount: 80 }), rule("shape", { x: 20, y: 30 })] };
const veil = { id: "a", kind: "light", opacity: 1, lifted: false, settings: { exposure: 10 }, mask };
const dial = (key, heading = "", label = key) => ({ veil: "a", key, label, min: 5, max: 40, heading });
const effect = { note: "", veils: [veil], dials: [dial("exposure"), dial("rule2.x")] };

test("the numbers of a veil are those of its kind and of its mask's rules, under the names that files have", () => {
  assert.deepEqual(
    numbersOf(veil, kind, sorts).map((s) => s.key),
    ["exposure", "rule1.amount", "rule2.x", "rule2.y"],
  );
  assert.equal(numberOf(veil, "rule2.y"), 30);
  assert.equal(numberOf(veil, "rule3.y"), undefined);
  assert.deepEqual(
    handlesIn(veil, kind, sorts).map((h) => [h.x, h.y, h.angle]),
    [["rule2.x", "rule2.y", ""]],
  );
});

test("a number of a rule is changed in the mask and leaves the old veil as it was", () => {
  assert.equal(withNumber(veil, "rule2.x", 70).mask.rules[1].settings.x, 70);
  assert.equal(withNumber(veil, "exposure", 7).settings.exposure, 7);
  assert.equal(veil.mask.rules[1].settings.x, 20);
});

test("a dial holds the value that its number has, and goes with its rule", () => {
  assert.equal(setTo(effect, "a", "exposure", 60).dials[0].max, 60);
  const moved = changed(effect, "a", withNumber(veil, "rule2.x", 1));
  assert.equal(moved.dials[1].min, 1);
  const dropped = changed(effect, "a", { mask: withoutRule(mask, 0) });
  assert.deepEqual(
    dropped.dials.map((d) => d.key),
    ["exposure", "rule1.x"],
  );
  assert.deepEqual(
    changed(effect, "a", { mask: withoutRule(mask, 1) }).dials.map((d) => d.key),
    ["exposure"],
  );
  assert.deepEqual(
    changed(effect, "a", { mask: { cover: "everywhere" } }).dials.map((d) => d.key),
    ["exposure"],
  );
});

test("a card is its dials in order, each under the heading above it", () => {
  const dials = [dial("a"), dial("b", "Sun"), dial("c", "Sun"), dial("d", "")];
  const lines = linesOf(dials);
  assert.deepEqual(
    lines.map((l) => l.heading ?? l.dial.key),
    ["a", "Sun", "b", "c", "", "d"],
  );
  assert.deepEqual(dialsOf(lines), dials);
});

test("a dial that is moved takes the heading it comes to lie under", () => {
  const lines = linesOf([dial("a"), dial("b", "Sun"), dial("c", "Sun")]);
  const told = (l) => dialsOf(l).map((d) => `${d.heading}/${d.key}`);
  assert.deepEqual(told(movedTo(lines, "a a", 3)), ["Sun/b", "Sun/c", "Sun/a"]);
  assert.deepEqual(told(movedTo(lines, "a c", 0)), ["/c", "/a", "Sun/b"]);
  const heading = lines.find((l) => l.heading).id;
  assert.deepEqual(told(renamed(lines, heading, " Light ")), ["/a", "Light/b", "Light/c"]);
  assert.deepEqual(told(without(lines, heading)), ["/a", "/b", "/c"]);
  assert.deepEqual(told(headed(lines, "a a", "First")), ["First/a", "Sun/b", "Sun/c"]);
  assert.deepEqual(told(movedTo(lines, heading, 9)), ["/a", "/b", "/c"]);
});

test("in a fitting a dial of a rule stands where it was turned to while the mask has the rule", () => {
  const worn = {
    effect: "e",
    veils: { a: { opacity: 1, lifted: false, dials: { "rule2.x": 35 } } },
    masks: {},
    byBrush: false,
  };
  const piece = { key: "e", effect };
  assert.equal(dialValue({ worn: [worn] }, piece, effect.dials[1]), 35);
  assert.equal(reaches({ worn: [worn] }, piece, effect.dials[1]), true);
  assert.equal(reaches({ worn: [{ ...worn, masks: { a: { cover: "everywhere" } } }] }, piece, effect.dials[1]), false);
  assert.equal(reaches({ worn: [{ ...worn, masks: { a: mask } }] }, piece, effect.dials[1]), true);
});

test("handles that would lie on one another are drawn apart, the first in its true place", () => {
  const at = { x: 100, y: 100 };
  const drawn = spread([at, at, { x: 104, y: 97 }, { x: 300, y: 10 }, at]);
  assert.deepEqual(drawn[0], at);
  assert.deepEqual(drawn[3], { x: 300, y: 10 });
  drawn.forEach((a, i) => drawn.slice(i + 1).forEach((b) => assert.ok(Math.hypot(a.x - b.x, a.y - b.y) >= APART)));
});
