package org.nineveils.filter;

import java.util.Arrays;
import org.nineveils.picture.Area;

/** The lowest value within a square window. */
public final class Lowest {
  private Lowest() {}

  /**
   * Lowest values of a plane, each of those that the window finds within it.
   *
   * @param in not changed
   * @param radius cells to either side
   */
  public static Plane of(Plane in, int radius) {
    Area area = in.area();
    int n = area.width();
    float[][] rows = new float[area.height()][n];
    float[] wide = new float[n + 2 * radius];
    float[] shifted = new float[n];
    for (int y = 0; y < rows.length; y++) {
      Arrays.fill(wide, Float.MAX_VALUE);
      System.arraycopy(in.values(), y * n, wide, radius, n);
      System.arraycopy(wide, 0, rows[y], 0, n);
      for (int k = 1; k <= 2 * radius; k++) {
        System.arraycopy(wide, k, shifted, 0, n);
        lower(shifted, rows[y], n);
      }
    }
    Plane out = Plane.blank(area);
    float[] low = new float[n];
    for (int y = 0; y < rows.length; y++) {
      Arrays.fill(low, Float.MAX_VALUE);
      int last = Math.min(rows.length - 1, y + radius);
      for (int k = Math.max(0, y - radius); k <= last; k++) {
        lower(rows[k], low, n);
      }
      System.arraycopy(low, 0, out.values(), y * n, n);
    }
    return out;
  }

  private static void lower(float[] other, float[] to, int n) {
    for (int i = 0; i < n; i++) {
      to[i] = Math.min(to[i], other[i]);
    }
  }
}
