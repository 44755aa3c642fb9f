package org.nineveils.filter;

/**
 * Values on a grid that are read for every pixel: between the middles of cells by straight lines.
 */
public final class Field {
  private final Level level;
  private final Plane plane;

  Field(Level level, Plane plane) {
    this.level = level;
    this.plane = plane;
  }

  /**
   * Reads a run of pixels of one row.
   *
   * @param x column of the first pixel in the whole picture
   * @param y row in the whole picture
   * @param n how many
   * @param out receives n values
   * @param cells scratch, at least n + 2 values
   */
  public void row(int x, int y, int n, float[] out, float[] cells) {
    if (level.factor() == 1) {
      System.arraycopy(plane.values(), plane.index(x, y), out, 0, n);
      return;
    }
    int f = level.factor();
    int first = Math.floorDiv(2 * x + 1 - f, 2 * f);
    int last = Math.floorDiv(2 * (x + n - 1) + 1 - f, 2 * f) + 1;
    column(first, last, y, cells);
    int i = 0;
    float per = 1f / (2 * f);
    for (int cell = first; i < n; cell++) {
      float from = cells[cell - first];
      float slope = (cells[cell - first + 1] - from) * per;
      // Twice the distance from the middle of this cell, so that it is whole.
      int twice = 2 * (x + i) + 1 - f - 2 * f * cell;
      int end = Math.min(n, i + (2 * f - twice + 1) / 2);
      for (; i < end; i++, twice += 2) {
        out[i] = from + slope * twice;
      }
    }
  }

  /** The cells of a row of pixels, between two rows of cells; cells beyond the border go on. */
  private void column(int first, int last, int y, float[] cells) {
    int f = level.factor();
    int upper = Math.floorDiv(2 * y + 1 - f, 2 * f);
    float share = (2 * y + 1 - f - 2 * f * upper) / (float) (2 * f);
    int rows = level.frame().height();
    int columns = level.frame().width();
    int a = plane.index(0, Math.min(Math.max(upper, 0), rows - 1));
    int b = plane.index(0, Math.min(Math.max(upper + 1, 0), rows - 1));
    float[] v = plane.values();
    for (int cell = first; cell <= last; cell++) {
      int c = Math.min(Math.max(cell, 0), columns - 1);
      cells[cell - first] = v[a + c] + (v[b + c] - v[a + c]) * share;
    }
  }
}
