import { test } from "node:test";
import assert from "node:assert/strict";
import {
  fitScale,
  MARGIN,
  panned,
  placed,
  toPhoto,
  wanted,
  zoomed,
} from "../../../main/resources/static/js/photo/stage/view.js";

const pane = { width: 900, height: 500 };
const photo = { width: 1800, height: 1200 };
const fit = { fit: true };
const near = (a, b, within = 1e-9) => assert.ok(Math.abs(a - b) <= within, `${a} is not ${b}`);

test("a photo that fits lies whole and centred in its pane", () => {
  const at = placed(fit, pane, photo);
  near(at.height, pane.height - 2 * MARGIN);
  near(at.x + at.width / 2, 450);
  near(at.y + at.height / 2, 250);
});

test("a point of the pane and the photo's point under it belong together", () => {
  const view = { fit: false, scale: 0.8, cx: 0.4, cy: 0.6 };
  const at = placed(view, pane, photo);
  const p = toPhoto(view, pane, photo, 123, 321);
  near(at.x + p.x * 0.8, 123);
  near(at.y + p.y * 0.8, 321);
});

test("zooming keeps the photo's point under the pointer in place", () => {
  const before = toPhoto(fit, pane, photo, 480, 260);
  const view = zoomed(fit, pane, photo, 480, 260, 1);
  const after = toPhoto(view, pane, photo, 480, 260);
  near(after.x, before.x, 1e-6);
  near(after.y, before.y, 1e-6);
});

test("zooming out as far as it goes is fitting again", () => {
  const view = zoomed({ fit: false, scale: 1, cx: 0.5, cy: 0.5 }, pane, photo, 0, 0, 0.01);
  assert.deepEqual(view, fit);
});

test("a photo cannot be pushed off the stage", () => {
  let view = { fit: false, scale: 1, cx: 0.5, cy: 0.5 };
  for (let i = 0; i < 50; i += 1) view = panned(view, pane, photo, 300, 300);
  const at = placed(view, pane, photo);
  near(at.x, 0);
  near(at.y, 0);
  assert.equal(panned(fit, pane, photo, 50, 50), fit);
});

test("a fitted photo is asked for at the size in which it is shown, whole", () => {
  const { longSide, area } = wanted(fit, pane, photo, 1);
  assert.equal(longSide, Math.round(1800 * fitScale(pane, photo)));
  assert.equal(area, null);
});

test("a dense screen asks for more pixels, never for more than there are", () => {
  assert.equal(wanted(fit, pane, photo, 2).longSide, Math.round(3600 * fitScale(pane, photo)));
  assert.equal(wanted(fit, pane, { width: 300, height: 200 }, 2).longSide, 300);
});

test("at one to one just the part in sight is asked for", () => {
  const view = { fit: false, scale: 1, cx: 0.5, cy: 0.5 };
  const { longSide, area } = wanted(view, pane, photo, 1);
  assert.equal(longSide, 1800);
  assert.deepEqual(area, { x: 450, y: 350, width: 900, height: 500 });
});

test("the part in sight stays within the picture at every place", () => {
  for (const cx of [0, 0.13, 0.5, 1]) {
    const { area } = wanted({ fit: false, scale: 1.37, cx, cy: 0.9 }, pane, photo, 1.5);
    assert.ok(area.x >= 0 && area.y >= 0 && area.width >= 1 && area.height >= 1);
    assert.ok(area.x + area.width <= 1800 && area.y + area.height <= 1200);
  }
});
