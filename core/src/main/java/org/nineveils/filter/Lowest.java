package org.nineveils.filter;

import org.nineveils.picture.Area;

/** The lowest value within a square window. */
public final class Lowest {
  private Lowest() {}

  /**
   * Lowest values of a plane.
   *
   * @param in holds the wanted area and what the window sees around it; not changed
   * @param radius cells to either side
   * @param wanted cells to work out
   */
  public static Plane of(Plane in, int radius, Area wanted) {
    Area seen = in.area();
    Plane across = Plane.blank(new Area(wanted.x(), seen.y(), wanted.width(), seen.height()));
    for (int y = seen.y(); y < seen.bottom(); y++) {
      for (int x = wanted.x(); x < wanted.right(); x++) {
        float low = Float.MAX_VALUE;
        int last = Math.min(seen.right() - 1, x + radius);
        for (int k = Math.max(seen.x(), x - radius); k <= last; k++) {
          low = Math.min(low, in.values()[in.index(k, y)]);
        }
        across.values()[across.index(x, y)] = low;
      }
    }
    Plane out = Plane.blank(wanted);
    for (int y = wanted.y(); y < wanted.bottom(); y++) {
      for (int x = wanted.x(); x < wanted.right(); x++) {
        float low = Float.MAX_VALUE;
        int last = Math.min(seen.bottom() - 1, y + radius);
        for (int k = Math.max(seen.y(), y - radius); k <= last; k++) {
          low = Math.min(low, across.values()[across.index(x, k)]);
        }
        out.values()[out.index(x, y)] = low;
      }
    }
    return out;
  }
}
