package org.nineveils.veil;

import org.nineveils.picture.Area;

/**
 * Size of the whole picture, which shares of the long side refer to.
 *
 * @param width pixels
 * @param height pixels
 */
public record Frame(int width, int height) {
  /** The longer of width and height, in pixels. */
  public int longSide() {
    return Math.max(width, height);
  }

  /** The whole picture as an area. */
  public Area area() {
    return new Area(0, 0, width, height);
  }
}
