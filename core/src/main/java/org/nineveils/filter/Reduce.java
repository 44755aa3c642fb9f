package org.nineveils.filter;

import org.nineveils.picture.Area;

/** Means over the cells of a coarser grid, or extremes. */
final class Reduce {
  /** Rows of pixels that one task takes. */
  private static final int ROWS = 32;

  private Reduce() {}

  /**
   * The wanted cells of a channel.
   *
   * @param in the channel on the picture's own grid; holds all pixels of the wanted cells
   * @param level the coarser grid
   * @param wanted cells
   */
  static Plane to(Level level, Plane in, Area wanted) {
    if (level.factor() == 1 && in.area().equals(wanted)) {
      return in;
    }
    int f = level.factor();
    Plane out = Plane.blank(wanted);
    int left = wanted.x() * f;
    int right = Math.min(wanted.right() * f, level.picture().width());
    Parallel.blocks(
        wanted.height(),
        Math.max(1, ROWS / f),
        (from, to) -> {
          float[] sum = new float[right - left];
          float[] row = new float[right - left];
          for (int j = from; j < to; j++) {
            int top = (wanted.y() + j) * f;
            int bottom = Math.min(top + f, level.picture().height());
            System.arraycopy(in.values(), in.index(left, top), sum, 0, sum.length);
            for (int y = top + 1; y < bottom; y++) {
              System.arraycopy(in.values(), in.index(left, y), row, 0, row.length);
              add(row, sum, sum.length);
            }
            int at = j * wanted.width();
            Sums.fold(sum, sum.length, f, bottom - top, out.values(), at, wanted.width());
          }
        });
    return out;
  }

  /**
   * The highest or the lowest value of each of the wanted cells.
   *
   * @param in holds all pixels of these cells
   */
  static Plane extreme(Level level, Plane in, Area wanted, boolean highest) {
    int f = level.factor();
    if (f == 1 && in.area().equals(wanted)) {
      return in;
    }
    Plane out = Plane.blank(wanted);
    float[] v = in.values();
    Parallel.blocks(
        wanted.height(),
        Math.max(1, ROWS / f),
        (from, to) -> {
          for (int j = from; j < to; j++) {
            int top = (wanted.y() + j) * f;
            int bottom = Math.min(top + f, level.picture().height());
            for (int i = 0; i < wanted.width(); i++) {
              int left = (wanted.x() + i) * f;
              int n = Math.min(f, level.picture().width() - left);
              float best = highest ? 0 : 1;
              for (int y = top; y < bottom; y++) {
                int at = in.index(left, y);
                for (int k = at; k < at + n; k++) {
                  best = highest ? Math.max(best, v[k]) : Math.min(best, v[k]);
                }
              }
              out.values()[j * wanted.width() + i] = best;
            }
          }
        });
    return out;
  }

  private static void add(float[] row, float[] sum, int n) {
    for (int i = 0; i < n; i++) {
      sum[i] += row[i];
    }
  }
}
