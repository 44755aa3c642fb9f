package org.nineveils.filter;

import org.nineveils.picture.Area;

/** A small picture's values on the grid of a large one. */
public final class Stretched {
  private Stretched() {}

  /**
   * What a grid lies on.
   *
   * @param x left edge of the grid in the whole picture, pixels
   * @param y top edge of the grid in the whole picture, pixels
   * @param width of the whole picture, pixels
   * @param height of the whole picture, pixels
   */
  public record Place(int x, int y, int width, int height) {
    /** A grid over the whole of a picture. */
    public static Place whole(Area picture) {
      return new Place(0, 0, picture.width(), picture.height());
    }
  }

  /**
   * The values at the middles of cells, between four values of the small picture by straight lines.
   *
   * @param level grid of the large picture
   * @param cells that are wanted
   * @param small the whole of the same picture, small
   */
  public static Plane to(Level level, Area cells, Plane small) {
    return to(Place.whole(level.picture()), level.factor(), cells, small);
  }

  /**
   * The same on a grid that may lie over a part of the large picture.
   *
   * @param factor pixels of a cell
   */
  public static Plane to(Place place, int factor, Area cells, Plane small) {
    double across = small.area().width() / (double) place.width();
    double down = small.area().height() / (double) place.height();
    int lastX = small.area().width() - 1;
    int lastY = small.area().height() - 1;
    float[] v = small.values();
    Plane out = Plane.blank(cells);
    int n = cells.width();
    int[] left = new int[n];
    float[] share = new float[n];
    for (int i = 0; i < n; i++) {
      double at = within(((cells.x() + i + 0.5) * factor + place.x()) * across - 0.5, lastX);
      left[i] = (int) at;
      share[i] = (float) (at - left[i]);
    }
    Parallel.rows(
        cells.height(),
        (from, to) -> {
          for (int j = from; j < to; j++) {
            double at = within(((cells.y() + j + 0.5) * factor + place.y()) * down - 0.5, lastY);
            int top = ((int) at) * (lastX + 1);
            int below = Math.min((int) at + 1, lastY) * (lastX + 1);
            float lower = (float) (at - (int) at);
            for (int i = 0; i < n; i++) {
              int l = left[i];
              int r = Math.min(l + 1, lastX);
              float up = v[top + l] + (v[top + r] - v[top + l]) * share[i];
              float low = v[below + l] + (v[below + r] - v[below + l]) * share[i];
              out.values()[j * n + i] = up + (low - up) * lower;
            }
          }
        });
    return out;
  }

  private static double within(double at, int last) {
    return Math.min(last, Math.max(0, at));
  }
}
