package org.nineveils.filter;

/**
 * Values on a grid that are read for every pixel: between the middles of cells by straight lines.
 */
public final class Field {
  /** How many values more than pixels a scratch array must hold. */
  public static final int SLACK = 16;

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
   * @param cells scratch, at least n + {@link #SLACK} values
   */
  public void row(int x, int y, int n, float[] out, float[] cells) {
    int f = level.factor();
    if (f == 1) {
      System.arraycopy(plane.values(), plane.index(x, y), out, 0, n);
      return;
    }
    int first = Math.floorDiv(2 * x + 1 - f, 2 * f);
    int last = Math.floorDiv(2 * (x + n - 1) + 1 - f, 2 * f) + 1;
    column(first, last, y, cells);
    // Twice the distance from the middle of a cell, so that it is whole.
    int twice = 2 * x + 1 - f - 2 * f * first;
    int i = between(cells[0], cells[1], twice, 0, Math.min(n, (2 * f - twice + 1) / 2), out);
    int whole = (n - i) / f;
    switch (f) {
      case 2 -> i = byTwo(cells, whole, i, out);
      case 4 -> i = byFour(cells, whole, i, out);
      default -> {
        for (int cell = 1; cell <= whole; cell++) {
          i = between(cells[cell], cells[cell + 1], 1, i, i + f, out);
        }
      }
    }
    if (i < n) {
      between(cells[whole + 1], cells[whole + 2], 1, i, n, out);
    }
  }

  /** Pixels from…to−1 of one cell. */
  private int between(float left, float right, int twice, int from, int to, float[] out) {
    float slope = (right - left) / (2 * level.factor());
    int t = twice;
    for (int i = from; i < to; i++, t += 2) {
      out[i] = left + slope * t;
    }
    return Math.max(from, to);
  }

  private static int byTwo(float[] cells, int whole, int from, float[] out) {
    int i = from;
    for (int cell = 1; cell <= whole; cell++, i += 2) {
      float left = cells[cell];
      float slope = (cells[cell + 1] - left) / 4;
      out[i] = left + slope;
      out[i + 1] = left + slope * 3;
    }
    return i;
  }

  private static int byFour(float[] cells, int whole, int from, float[] out) {
    int i = from;
    for (int cell = 1; cell <= whole; cell++, i += 4) {
      float left = cells[cell];
      float slope = (cells[cell + 1] - left) / 8;
      out[i] = left + slope;
      out[i + 1] = left + slope * 3;
      out[i + 2] = left + slope * 5;
      out[i + 3] = left + slope * 7;
    }
    return i;
  }

  /**
   * The cells of a row of pixels, between two rows of cells; beyond the outermost middles their
   * straight line goes on.
   */
  private void column(int first, int last, int y, float[] cells) {
    int f = level.factor();
    int upper = Math.floorDiv(2 * y + 1 - f, 2 * f);
    float share = (2 * y + 1 - f - 2 * f * upper) / (float) (2 * f);
    int rows = level.frame().height();
    int count = last - first + 1;
    int row = Math.min(Math.max(upper, 0), Math.max(0, rows - 2));
    copy(row, first, last, cells, 0);
    copy(Math.min(row + 1, rows - 1), first, last, cells, count);
    float along = share + upper - row; // below 0 or above 1 beyond the outermost middles
    for (int i = 0; i < count; i++) {
      cells[i] += (cells[count + i] - cells[i]) * along;
    }
  }

  private void copy(int row, int first, int last, float[] to, int at) {
    int left = Math.max(first, 0);
    int right = Math.min(last, level.frame().width() - 1);
    System.arraycopy(
        plane.values(), plane.index(left, row), to, at + left - first, right - left + 1);
    float outermost = to[at + left - first];
    float step = right > left ? outermost - to[at + left + 1 - first] : 0;
    for (int cell = first; cell < left; cell++) {
      to[at + cell - first] = outermost + step * (left - cell);
    }
    outermost = to[at + right - first];
    step = right > left ? outermost - to[at + right - 1 - first] : 0;
    for (int cell = right + 1; cell <= last; cell++) {
      to[at + cell - first] = outermost + step * (cell - right);
    }
  }
}
