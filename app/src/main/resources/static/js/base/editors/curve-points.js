// Points of a tone curve: [in, out] pairs, 0…1, from left to right. Pure.

const clamp = (v, low, high) => Math.min(high, Math.max(low, v));

/** The points with one moved, held between its neighbours. */
export function moved(points, index, [x, y], gap) {
  const low = index === 0 ? 0 : points[index - 1][0] + gap;
  const high = index === points.length - 1 ? 1 : points[index + 1][0] - gap;
  return points.map((p, i) => (i === index ? [clamp(x, low, high), clamp(y, 0, 1)] : p));
}

/** The points with one more, and its index; null where there is no room for it. */
export function added(points, [x, y], { maxPoints, minGap }) {
  if (points.length >= maxPoints) return null;
  if (points.some((p) => Math.abs(p[0] - x) < minGap)) return null;
  const next = [...points, [clamp(x, 0, 1), clamp(y, 0, 1)]].sort((a, b) => a[0] - b[0]);
  return { points: next, index: next.findIndex((p) => p[0] === x) };
}

/** The points without one; as they are where the fewest are left. */
export function removed(points, index, { minPoints }) {
  return points.length <= minPoints ? points : points.filter((_, i) => i !== index);
}

/**
 * The points with one more half-way between one and the next, on the curve, and its index; before it
 * where it is the last. Null where there is no room.
 */
export function between(points, index, at, limits) {
  const left = Math.min(index, points.length - 2);
  const x = (points[left][0] + points[left + 1][0]) / 2;
  return added(points, [x, at(x)], limits);
}
