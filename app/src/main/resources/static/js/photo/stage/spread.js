// Handles that would lie on one another are moved apart, each as little as it takes.

export const APART = 18; // px between the middles of two dots
const RING = 22;
const WAYS = 12;

/**
 * @param points true places of the dots, px; the first stay where they are
 * @returns where each is drawn: far enough from all before it
 */
export function spread(points) {
  const placed = [];
  for (const point of points) placed.push(free(point, placed));
  return placed;
}

function free(point, placed) {
  const clear = (p) => placed.every((other) => Math.hypot(other.x - p.x, other.y - p.y) >= APART);
  if (clear(point)) return point;
  for (let ring = 1; ring <= 4; ring++) {
    for (let way = 0; way < WAYS; way++) {
      const turn = (way / WAYS) * 2 * Math.PI - Math.PI / 4;
      const at = { x: point.x + Math.cos(turn) * RING * ring, y: point.y + Math.sin(turn) * RING * ring };
      if (clear(at)) return at;
    }
  }
  return point;
}
