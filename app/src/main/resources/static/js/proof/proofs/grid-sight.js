// What of the sheet is in sight.
import { inSight } from "./sheet-state.js";

const upTo = ([first, last], also) => {
  const all = new Set(also);
  for (let i = first; i <= last; i += 1) all.add(i);
  return all;
};

/** Rows and columns that are in sight, with a margin in pixels; and those of the cell that has the focus. */
export function rangeOf({ box, laid, size, x, y, active }, margin) {
  const { scrollLeft, scrollTop, clientWidth, clientHeight } = box;
  const isEmpty = laid.rows.length === 0 || laid.columns.length === 0;
  const [row, column] = isEmpty ? [[], []] : active.map((i) => [i]);
  return {
    rows: upTo(inSight(y, size.height, scrollTop - margin, scrollTop + clientHeight + margin), row),
    columns: upTo(inSight(x, size.width, scrollLeft - margin, scrollLeft + clientWidth + margin), column),
  };
}

/** Takes out of the page, and of a map, what is not wanted in it. */
export function forget(map, wanted) {
  for (const [key, made] of map) {
    if (wanted.has(key)) continue;
    (made.element ?? made).remove();
    map.delete(key);
  }
}

/** Scrolls a box so far that a cell of it is in sight beside its edges. */
export function bringIntoSight(box, { left, top, width, height }, edges) {
  const [roomX, roomY] = [box.clientWidth - edges.width, box.clientHeight - edges.height];
  if (left < box.scrollLeft) box.scrollLeft = left;
  else if (left + width > box.scrollLeft + roomX) box.scrollLeft = left + width - roomX;
  if (top < box.scrollTop) box.scrollTop = top;
  else if (top + height > box.scrollTop + roomY) box.scrollTop = top + height - roomY;
}
