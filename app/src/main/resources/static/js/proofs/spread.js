// Pictures on a map, moved apart until none lies on another; as near to their true places as goes.

const ROUNDS = 600;
const TOLERANCE = 0.5; // pixels that two may lie on one another

/**
 * @param places [[x, y]] in any unit, about their middle
 * @param box { width, height } of the map
 * @param size { width, height } of a picture with its name
 * @returns [[left, top]], of the upper left corners, all inside the box where there is room
 */
export function spread(places, box, size) {
  const [w, h] = [box.width - size.width, box.height - size.height];
  const at = loosened(places).map(([x, y]) => [w / 2 + x * (w / 2), h / 2 + y * (h / 2)]);
  for (let round = 0; round < ROUNDS; round += 1) {
    let still = true;
    for (let i = 0; i < at.length; i += 1) {
      for (let k = i + 1; k < at.length; k += 1) if (apart(at[i], at[k], size, i + k)) still = false;
    }
    for (const p of at) {
      p[0] = Math.max(0, Math.min(w, p[0]));
      p[1] = Math.max(0, Math.min(h, p[1]));
    }
    if (still) return at;
  }
  return settled(at, box, size);
}

/** Places as shares of the box, −1…1: near the middle, where most lie, further from one another. */
function loosened(places) {
  const far = Math.max(1e-9, ...places.map(([x, y]) => Math.hypot(x, y)));
  const out = places.map(([x, y]) => {
    const r = Math.hypot(x, y);
    const grown = r === 0 ? 0 : Math.sqrt(r / far) / r;
    return [x * grown, y * grown];
  });
  const most = [0, 1].map((axis) => Math.max(1e-9, ...out.map((p) => Math.abs(p[axis]))));
  return out.map(([x, y]) => [x / most[0], y / most[1]]);
}

/** Moves two apart along the way that is shorter. @returns whether they lay on one another */
function apart(a, b, size, turn) {
  const dx = b[0] - a[0];
  const dy = b[1] - a[1];
  const over = { x: size.width - Math.abs(dx), y: size.height - Math.abs(dy) };
  if (over.x <= TOLERANCE || over.y <= TOLERANCE) return false;
  const axis = over.x / size.width < over.y / size.height ? 0 : 1;
  const way = axis === 0 ? dx : dy;
  const sign = way === 0 ? (turn % 2 === 0 ? 1 : -1) : Math.sign(way);
  const push = (axis === 0 ? over.x : over.y) / 2 + 0.05;
  a[axis] -= sign * push;
  b[axis] += sign * push;
  return true;
}

/** Where pushing does not end, each goes to the nearest free place of a lattice. */
function settled(at, box, size) {
  const columns = Math.max(1, Math.floor(box.width / size.width));
  const rows = Math.max(Math.floor(box.height / size.height), Math.ceil(at.length / columns));
  const free = new Set(Array.from({ length: columns * rows }, (_, i) => i));
  const corner = (i) => [(i % columns) * (box.width / columns), Math.floor(i / columns) * size.height];
  return at.map(([x, y]) => {
    let best = -1;
    let near = Infinity;
    for (const i of free) {
      const [cx, cy] = corner(i);
      const d = (cx - x) ** 2 + (cy - y) ** 2;
      if (d < near) [near, best] = [d, i];
    }
    free.delete(best);
    return corner(best);
  });
}
