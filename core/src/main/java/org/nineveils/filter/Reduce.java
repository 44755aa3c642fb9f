package org.nineveils.filter;

import org.nineveils.picture.Area;

/** Means over the cells of a coarser grid. */
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
    int f = level.factor();
    if (f == 1 && in.area().equals(wanted)) {
      return in;
    }
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
            System.arraycopy(in.values(), in.index(left, top), sum, 0, sum.length);
            for (int y = top + 1; y < bottom; y++) {
              System.arraycopy(in.values(), in.index(left, y), row, 0, row.length);
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
