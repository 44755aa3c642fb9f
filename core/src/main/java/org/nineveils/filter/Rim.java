package org.nineveils.filter;

import org.nineveils.picture.Area;

/**
 * The outermost pixels of a picture as means over the lengths of cells: what a window on a coarse
 * grid sees beyond the border. One array: left and right edge, a value a row of cells; upper and
 * lower edge, a value a column and one at either end for the corners. Where a part does not touch
 * an edge its values are 0 and nobody reads them.
 */
final class Rim {
  private Rim() {}

  /** Where the value of the left edge for row j of an area of h rows is. */
  static int left(int j) {
    return j;
  }

  static int right(Area area, int j) {
    return area.height() + j;
  }

  /** Where the value of the upper edge for column i is; −1 and the width are the corners. */
  static int above(Area area, int i) {
    return 2 * area.height() + 1 + i;
  }

  static int below(Area area, int i) {
    return 2 * area.height() + area.width() + 3 + i;
  }

  /**
   * Takes the rim of a channel.
   *
   * @param in the channel on the picture's own grid; holds all pixels of the cells
   * @param level the coarser grid
   * @param cells that it is taken for
   */
  static float[] of(Level level, Plane in, Area cells) {
    Area picture = level.picture();
    Area frame = level.frame();
    float[] rim = new float[2 * cells.height() + 2 * (cells.width() + 2)];
    boolean left = cells.x() == 0;
    boolean right = cells.right() == frame.width();
    for (int j = 0; j < cells.height(); j++) {
      if (left) {
        rim[left(j)] = down(level, in, 0, cells.y() + j);
      }
      if (right) {
        rim[right(cells, j)] = down(level, in, picture.width() - 1, cells.y() + j);
      }
    }
    if (cells.y() == 0) {
      across(level, in, cells, 0, rim, above(cells, 0), left, right);
    }
    if (cells.bottom() == frame.height()) {
      across(level, in, cells, picture.height() - 1, rim, below(cells, 0), left, right);
    }
    return rim;
  }

  private static void across(
      Level level, Plane in, Area cells, int y, float[] rim, int at, boolean left, boolean right) {
    int width = level.picture().width();
    for (int i = 0; i < cells.width(); i++) {
      int from = (cells.x() + i) * level.factor();
      int n = Math.min(level.factor(), width - from);
      float sum = 0;
      for (int k = 0; k < n; k++) {
        sum += in.values()[in.index(from + k, y)];
      }
      rim[at + i] = sum / n;
    }
    rim[at - 1] = left ? in.values()[in.index(0, y)] : 0;
    rim[at + cells.width()] = right ? in.values()[in.index(width - 1, y)] : 0;
  }

  private static float down(Level level, Plane in, int x, int row) {
    int from = row * level.factor();
    int n = Math.min(level.factor(), level.picture().height() - from);
    float sum = 0;
    for (int k = 0; k < n; k++) {
      sum += in.values()[in.index(x, from + k)];
    }
    return sum / n;
  }
}
