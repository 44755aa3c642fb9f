// Where keys lead from a cell of the sheet.

/** Row and column by key. @param page how many rows are in sight */
export const stepsFrom = (r, c, columns, page) => ({
  ArrowLeft: [r, c - 1],
  ArrowRight: [r, c + 1],
  ArrowUp: [r - 1, c],
  ArrowDown: [r + 1, c],
  Home: [r, 0],
  End: [r, columns - 1],
  PageUp: [r - page, c],
  PageDown: [r + page, c],
});
