// What is picked among things that are laid out in an order.

/**
 * What is picked after a click: with Ctrl one more or less, with Shift all up to it, else it alone;
 * it alone again picks none.
 * @param order ids as they are laid out ; @param last the one that was picked before
 */
export function picked(before, order, id, { ctrl = false, shift = false, last = null } = {}) {
  if (shift && last !== null && order.includes(last)) {
    const [from, to] = [order.indexOf(last), order.indexOf(id)].sort((a, b) => a - b);
    return new Set([...before, ...order.slice(from, to + 1)]);
  }
  const next = new Set(ctrl ? before : []);
  if (before.has(id) && (ctrl || before.size === 1)) next.delete(id);
  else next.add(id);
  return next;
}
