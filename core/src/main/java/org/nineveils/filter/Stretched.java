package org.nineveils.filter;

import org.nineveils.picture.Area;

/** A small picture's values on the grid of a large one. */
public final class Stretched {
  private Stretched() {}

  /**
   * The values at the middles of cells, between four values of the small picture by straight lines.
   *
   * @param level grid of the large picture
   * @param cells that are wanted
   * @param small the whole of the same picture, small
   */
  public static Plane to(Level level, Area cells, Plane small) {
    double across = small.area().width() / (double) level.picture().width();
    double down = small.area().height() / (double) level.picture().height();
    int lastX = small.area().width() - 1;
    int lastY = small.area().height() - 1;
    float[] v = small.values();
    Plane out = Plane.blank(cells);
    int at = 0;
    for (int y = cells.y(); y < cells.bottom(); y++) {
      double sy = within((y + 0.5) * level.factor() * down - 0.5, lastY);
      int row = (int) sy;
      int top = row * (lastX + 1);
      int below = Math.min(row + 1, lastY) * (lastX + 1);
      float ty = (float) (sy - row);
      for (int x = cells.x(); x < cells.right(); x++) {
        double sx = within((x + 0.5) * level.factor() * across - 0.5, lastX);
        int left = (int) sx;
        int right = Math.min(left + 1, lastX);
        float tx = (float) (sx - left);
        float upper = v[top + left] + (v[top + right] - v[top + left]) * tx;
        float lower = v[below + left] + (v[below + right] - v[below + left]) * tx;
        out.values()[at++] = upper + (lower - upper) * ty;
      }
    }
    return out;
  }

  private static double within(double at, int last) {
    return Math.min(last, Math.max(0, at));
  }
}
