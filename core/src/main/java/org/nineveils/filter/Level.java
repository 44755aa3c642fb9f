package org.nineveils.filter;

import org.nineveils.picture.Area;

/**
 * A grid over a picture, each cell as wide and high as {@code factor} pixels; the last ones in a
 * row or column may be cut off by the border.
 *
 * @param factor pixels, a power of two; 1 is the picture's own grid
 * @param picture the whole picture, at 0, 0
 */
public record Level(int factor, Area picture) {
  public Level {
    if (factor < 1 || Integer.bitCount(factor) != 1) {
      throw new IllegalArgumentException("factor must be a power of two, was " + factor);
    }
  }

  /**
   * The coarsest grid on which a size still spans some cells.
   *
   * @param size pixels
   * @param cells least number of cells that it shall span
   */
  public static Level spanning(double size, double cells, Area picture) {
    int factor = 1;
    while (size / (factor * 2) >= cells) {
      factor *= 2;
    }
    return new Level(factor, picture);
  }

  /** All cells of the grid. */
  public Area frame() {
    return new Area(0, 0, cells(picture.width()), cells(picture.height()));
  }

  private int cells(int pixels) {
    return (pixels + factor - 1) / factor;
  }

  /** The cells needed to read every pixel of an area between the middles of cells. */
  public Area cellsAround(Area pixels) {
    if (factor == 1) {
      return pixels;
    }
    Area frame = frame();
    return Area.between(
        Math.max(0, pixels.x() / factor - 1),
        Math.max(0, pixels.y() / factor - 1),
        Math.min(frame.width(), (pixels.right() - 1) / factor + 2),
        Math.min(frame.height(), (pixels.bottom() - 1) / factor + 2));
  }

  /** How far from a pixel the pixels lie that a window of the given radius sees, in pixels. */
  public int reach(int cells) {
    return factor == 1 ? cells : factor * (cells + 2);
  }
}
