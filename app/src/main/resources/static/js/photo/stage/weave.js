// What shows where a veil covers: woven hatching, the mask in grey, or what it leaves out cut away.

let tile;

function pattern(context) {
  if (!tile) {
    tile = new OffscreenCanvas(8, 8);
    const c = tile.getContext("2d");
    c.lineWidth = 1.6;
    for (const [colour, shift] of [
      ["#ffffffb0", 0],
      ["#00000068", 1.6],
    ]) {
      c.strokeStyle = colour;
      c.beginPath();
      for (const k of [-8, 0, 8]) {
        c.moveTo(k + shift, 8);
        c.lineTo(k + 8 + shift, 0);
      }
      c.stroke();
    }
  }
  return context.createPattern(tile, "repeat");
}

/**
 * Hatches where a mask covers, and the way of a stroke under the hand.
 * @param at where the whole photo lies, device pixels
 */
export function drawWeave(context, photo, at, { mask, stroke }) {
  if (mask) DRAWN[mask.as](context, mask.shot, at);
  if (!stroke) return;
  const scale = (at.width / photo.width) * Math.max(photo.width, photo.height);
  const points = stroke.points.map((p) => ({ x: at.x + p.x * scale, y: at.y + p.y * scale }));
  hatchStroke(context, points, stroke.diameterShare * scale);
}

/** Hatches where the shot's alpha covers. */
function hatch(context, shot, at) {
  shot.draw(context, at);
  context.globalCompositeOperation = "source-in";
  context.fillStyle = pattern(context);
  context.fillRect(0, 0, context.canvas.width, context.canvas.height);
  context.globalCompositeOperation = "source-over";
}

/** White where it covers, black where it does not. */
function grey(context, shot, at) {
  shot.draw(context, at);
  paint(context, "source-in", "#fff", at);
  paint(context, "destination-over", "#000", at);
}

/** What it does not cover gives way to the grey of the stage. */
function cutOut(context, shot, at) {
  shot.draw(context, at);
  paint(context, "source-out", "#a4a4a4", at);
}

function paint(context, how, colour, { x, y, width, height }) {
  context.globalCompositeOperation = how;
  context.fillStyle = colour;
  context.fillRect(x, y, width, height);
  context.globalCompositeOperation = "source-over";
}

const DRAWN = { hatched: hatch, grey, "cut out": cutOut };

/** Hatches the way of a stroke under the hand: points in device pixels. */
function hatchStroke(context, points, diameter) {
  context.strokeStyle = pattern(context);
  context.fillStyle = context.strokeStyle;
  context.lineWidth = diameter;
  context.lineCap = "round";
  context.lineJoin = "round";
  context.beginPath();
  if (points.length === 1) {
    context.arc(points[0].x, points[0].y, diameter / 2, 0, 2 * Math.PI);
    context.fill();
    return;
  }
  points.forEach((p, i) => (i === 0 ? context.moveTo(p.x, p.y) : context.lineTo(p.x, p.y)));
  context.stroke();
}
