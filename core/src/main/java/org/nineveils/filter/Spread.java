package org.nineveils.filter;

import java.util.Arrays;
import org.nineveils.picture.Area;

/** The highest, or the lowest, value within a distance. */
public final class Spread {
  /** An edge within a cell counts for all of the cell: on average that is half a cell farther. */
  private static final double HALF_A_CELL = 0.5;

  private Spread() {}

  /**
   * Spreads high or low values of a channel over a disk.
   *
   * @param level grid to work on, where the distance spans a few cells
   * @param in the channel on the picture's own grid; holds the wanted area with the level's reach
   *     of the distance around it
   * @param distance pixels; above 0 the highest value counts, below 0 the lowest
   * @param wanted pixels
   */
  public static Field of(Level level, Plane in, double distance, Area wanted) {
    boolean highest = distance > 0;
    double radius = Math.abs(distance) / level.factor();
    Area cells = level.cellsAround(wanted);
    Area seen = cells.around((int) Math.ceil(radius), 1, level.frame());
    Plane coarse = Reduce.extreme(level, in, seen, highest);
    double reach = level.factor() == 1 ? radius : radius - HALF_A_CELL;
    Plane out = Plane.blank(cells);
    Parallel.rows(
        cells.height(),
        (from, to) -> {
          for (int y = cells.y() + from; y < cells.y() + to; y++) {
            row(coarse, reach, highest, y, out);
          }
        });
    return new Field(level, out);
  }

  /** Between two whole numbers of cells, the share of each. */
  private static void row(Plane in, double radius, boolean highest, int y, Plane out) {
    int whole = (int) radius;
    float[] best = disk(in, whole, highest, y, out.area());
    float share = (float) (radius - whole);
    if (share > 0) {
      float[] wider = disk(in, whole + 1, highest, y, out.area());
      for (int i = 0; i < best.length; i++) {
        best[i] += (wider[i] - best[i]) * share;
      }
    }
    System.arraycopy(best, 0, out.values(), out.index(out.area().x(), y), best.length);
  }

  private static float[] disk(Plane in, int radius, boolean highest, int y, Area out) {
    float[] best = new float[out.width()];
    Arrays.fill(best, highest ? 0 : 1);
    for (int row = y - radius; row <= y + radius; row++) {
      if (row >= in.area().y() && row < in.area().bottom()) {
        int half = (int) Math.sqrt(radius * radius - (row - y) * (row - y));
        take(in, row, half, highest, out.x(), best);
      }
    }
    return best;
  }

  private static void take(Plane in, int row, int half, boolean highest, int x, float[] best) {
    float[] v = in.values();
    int start = in.index(in.area().x(), row);
    for (int i = 0; i < best.length; i++) {
      int from = Math.max(0, x + i - half - in.area().x());
      int to = Math.min(in.area().width() - 1, x + i + half - in.area().x());
      float b = best[i];
      for (int k = from; k <= to; k++) {
        float other = v[start + k];
        b = highest ? Math.max(b, other) : Math.min(b, other);
      }
      best[i] = b;
    }
  }
}
