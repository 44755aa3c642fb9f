package org.nineveils.filter;

import org.nineveils.picture.Area;

/**
 * Values on a grid that are read for every pixel: between the middles of cells by straight lines.
 */
public final class Field {
  /** How many values more than pixels a scratch array must hold. */
  public static final int SLACK = 16;

  /** Pixels of a cell from which on rows of cells are drawn out to pixels once and kept. */
  private static final int COARSE = 4;

  private final Level level;
  private final Plane plane;

  /** Each row of cells, drawn out to a value a pixel; null where cells are fine. */
  private final float[][] drawn;

  /** Column of the first pixel of {@link #drawn}. */
  private final int left;

  Field(Level level, Plane plane) {
    this.level = level;
    this.plane = plane;
    int f = level.factor();
    Area cells = plane.area();
    left = cells.x() == 0 ? 0 : cells.x() * f + f / 2;
    drawn = f < COARSE ? null : new float[cells.height()][];
    if (drawn != null) {
      int right =
          cells.right() == level.frame().width()
              ? level.picture().width()
              : cells.right() * f - f / 2;
      int n = right - left;
      Parallel.blocks(cells.height(), 1, (from, to) -> drawn[from] = drawnOut(from, n));
    }
  }

  private float[] drawnOut(int row, int n) {
    float[] out = new float[n];
    int first = firstCell(left);
    float[] cells = new float[firstCell(left + n - 1) + 2 - first];
    copy(plane.area().y() + row, first, first + cells.length - 1, cells, 0);
    across(cells, first, left, n, out);
    return out;
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
    int upper = Math.floorDiv(2 * y + 1 - f, 2 * f);
    int rows = level.frame().height();
    int row = Math.min(Math.max(upper, 0), Math.max(0, rows - 2));
    int below = Math.min(row + 1, rows - 1);
    float share = (2 * y + 1 - f - 2 * f * upper) / (float) (2 * f);
    float along = share + upper - row; // below 0 or above 1 beyond the outermost middles
    if (drawn != null) {
      int top = plane.area().y();
      System.arraycopy(drawn[row - top], x - left, out, 0, n);
      System.arraycopy(drawn[below - top], x - left, cells, 0, n);
      between(out, cells, along, n);
      return;
    }
    int first = firstCell(x);
    int last = firstCell(x + n - 1) + 1;
    int count = last - first + 1;
    copy(row, first, last, cells, 0);
    copy(below, first, last, cells, count);
    for (int i = 0; i < count; i++) {
      cells[i] += (cells[count + i] - cells[i]) * along;
    }
    across(cells, first, x, n, out);
  }

  private static void between(float[] upper, float[] lower, float share, int n) {
    for (int i = 0; i < n; i++) {
      upper[i] += (lower[i] - upper[i]) * share;
    }
  }

  /** The cell whose middle lies at or before the middle of a pixel; −1 before the first. */
  private int firstCell(int x) {
    int f = level.factor();
    return Math.floorDiv(2 * x + 1 - f, 2 * f);
  }

  /** Draws cells out to n pixels from a column on. */
  private void across(float[] cells, int first, int x, int n, float[] out) {
    int f = level.factor();
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

  /** Takes cells of a row; beyond the outermost middles their straight line goes on. */
  private void copy(int row, int first, int last, float[] to, int at) {
    int left = Math.max(first, 0);
    int right = Math.min(last, level.frame().width() - 1);
    System.arraycopy(
        plane.values(), plane.index(left, row), to, at + left - first, right - left + 1);
    float outermost = to[at + left - first];
    float step = step(left, left + 1, row);
    for (int cell = first; cell < left; cell++) {
      to[at + cell - first] = outermost + step * (left - cell);
    }
    outermost = to[at + right - first];
    step = step(right, right - 1, row);
    for (int cell = right + 1; cell <= last; cell++) {
      to[at + cell - first] = outermost + step * (cell - right);
    }
  }

  /** From an inner cell to the outermost one, which may be the only one that is taken. */
  private float step(int outermost, int inner, int row) {
    Area known = plane.area();
    return inner < known.x() || inner >= known.right()
        ? 0
        : plane.values()[plane.index(outermost, row)] - plane.values()[plane.index(inner, row)];
  }

  /**
   * All values of an area, rows from the top.
   *
   * @param area pixels, within what was worked out
   */
  public float[] values(Area area) {
    float[] out = new float[area.pixels()];
    float[] row = new float[area.width()];
    float[] cells = new float[area.width() + SLACK];
    for (int y = 0; y < area.height(); y++) {
      row(area.x(), area.y() + y, row.length, row, cells);
      System.arraycopy(row, 0, out, y * row.length, row.length);
    }
    return out;
  }
}
