// Where arrow keys lead among pieces that hang in rows.

/** How much more a step off the line counts than one along it. */
const ASKEW = 3;

/**
 * The piece beside, above or below another: the nearest in that direction.
 * @param boxes [{ id, left, top, right, bottom }] in the order in which they hang
 * @returns its id, or null at the border
 */
export function besides(boxes, id, key) {
  const order = boxes.toSorted((a, b) => a.top - b.top || a.left - b.left);
  const at = order.findIndex((b) => b.id === id);
  if (order.length === 0) return null;
  if (key === "Home") return order[0].id;
  if (key === "End") return order.at(-1).id;
  if (at < 0) return order[0].id;
  if (key === "ArrowLeft") return order[at - 1]?.id ?? null;
  if (key === "ArrowRight") return order[at + 1]?.id ?? null;
  const from = order[at];
  const middle = (b) => (b.left + b.right) / 2;
  const ahead = order.filter((b) => (key === "ArrowDown" ? b.top >= from.bottom - 1 : b.bottom <= from.top + 1));
  const far = (b) =>
    (key === "ArrowDown" ? b.top - from.bottom : from.top - b.bottom) * ASKEW + Math.abs(middle(b) - middle(from));
  return ahead.toSorted((a, b) => far(a) - far(b))[0]?.id ?? null;
}
