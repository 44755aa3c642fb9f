package org.nineveils.filter;

import org.nineveils.picture.Area;

/** Means over the cells of a coarser grid, of a channel or of the product of two; or extremes. */
final class Reduce {
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
    return means(
        level, wanted, (x, y, n, out) -> System.arraycopy(in.values(), in.index(x, y), out, 0, n));
  }

  /** The wanted cells of the product of two channels, each with all pixels of these cells. */
  static Plane product(Level level, Plane a, Plane b, Area wanted) {
    float[] p = a.values();
    float[] q = b.values();
    return means(
        level,
        wanted,
        (x, y, n, out) -> {
          int i = a.index(x, y);
          int j = b.index(x, y);
          for (int k = 0; k < n; k++) {
            out[k] = p[i + k] * q[j + k];
          }
        });
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
    Parallel.rows(
        wanted.height(),
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

  /** Gives a run of pixels of one row. */
  private interface Row {
    void read(int x, int y, int n, float[] out);
  }

  private static Plane means(Level level, Area wanted, Row in) {
    int f = level.factor();
    Plane out = Plane.blank(wanted);
    int left = wanted.x() * f;
    int right = Math.min(wanted.right() * f, level.picture().width());
    Parallel.rows(
        wanted.height(),
        (from, to) -> {
          float[] sum = new float[right - left];
          float[] row = new float[right - left];
          for (int j = from; j < to; j++) {
            int top = (wanted.y() + j) * f;
            int bottom = Math.min(top + f, level.picture().height());
            in.read(left, top, sum.length, sum);
            for (int y = top + 1; y < bottom; y++) {
              in.read(left, y, row.length, row);
              add(row, sum, sum.length);
            }
            fold(sum, f, bottom - top, out.values(), j * wanted.width(), wanted.width());
          }
        });
    return out;
  }

  private static void add(float[] row, float[] sum, int n) {
    for (int i = 0; i < n; i++) {
      sum[i] += row[i];
    }
  }

  private static void fold(float[] sum, int f, int rows, float[] out, int at, int n) {
    float share = 1f / (f * rows);
    int whole = sum.length / f;
    for (int i = 0; i < whole; i++) {
      float v = 0;
      for (int k = i * f; k < i * f + f; k++) {
        v += sum[k];
      }
      out[at + i] = v * share;
    }
    if (whole < n) {
      float v = 0;
      for (int k = whole * f; k < sum.length; k++) {
        v += sum[k];
      }
      out[at + whole] = v / ((sum.length - whole * f) * rows);
    }
  }
}
