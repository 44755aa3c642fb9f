// Pictures on a map: each at its true place, or at the nearest one where it lies on no other.

/** Steps between places that are tried, as a share of a picture. */
const STEP = 0.12;

/**
 * @param places [[x, y]] in any unit, about their middle
 * @param box { width, height } of the map
 * @param size { width, height } of a picture with its name
 * @returns [[left, top]], of the upper left corners: inside the box, none on another, where there is room
 */
export function spread(places, box, size) {
  const [w, h] = [Math.max(0, box.width - size.width), Math.max(0, box.height - size.height)];
  const wanted = loosened(places).map(([x, y]) => [w / 2 + x * (w / 2), h / 2 + y * (h / 2)]);
  const lattice = candidates(w, h, size);
  const order = wanted.map((_, i) => i).sort((a, b) => crowd(wanted, b, size) - crowd(wanted, a, size));
  const at = [];
  for (const i of order) at[i] = nearest(wanted[i], lattice, at, size);
  return at.includes(null) ? inRows(places.length, box, size) : at;
}

/** How many lie close to one: those in a crowd are placed first, so that they stay together. */
const crowd = (all, i, size) =>
  all.filter((p) => Math.abs(p[0] - all[i][0]) < size.width && Math.abs(p[1] - all[i][1]) < size.height).length;

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

function candidates(w, h, size) {
  const [dx, dy] = [size.width * STEP, size.height * STEP];
  const out = [];
  for (let y = 0; y <= h; y += dy) for (let x = 0; x <= w; x += dx) out.push([x, y]);
  return out;
}

const free = ([x, y], at, size) =>
  at.every((p) => !p || Math.abs(p[0] - x) >= size.width || Math.abs(p[1] - y) >= size.height);

/** The free place that is nearest to the wanted one; null where there is none. */
function nearest(wanted, lattice, at, size) {
  if (free(wanted, at, size)) return wanted;
  let best = null;
  let near = Infinity;
  for (const place of lattice) {
    const d = (place[0] - wanted[0]) ** 2 + (place[1] - wanted[1]) ** 2;
    if (d < near && free(place, at, size)) [near, best] = [d, place];
  }
  return best;
}

/** Where there is no room for a map: row by row, beyond the lower edge if need be. */
function inRows(n, box, size) {
  const columns = Math.max(1, Math.floor(box.width / size.width));
  return Array.from({ length: n }, (_, i) => [(i % columns) * size.width, Math.floor(i / columns) * size.height]);
}
