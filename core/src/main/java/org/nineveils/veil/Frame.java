package org.nineveils.veil;

import org.nineveils.picture.Area;
import org.nineveils.picture.Shelf;

/**
 * Size of the whole picture, which shares of the long side refer to.
 *
 * @param width pixels
 * @param height pixels
 * @param shelf pictures that veils may lay over it
 */
public record Frame(int width, int height, Shelf shelf) {
  /** The longer of width and height, in pixels. */
  public int longSide() {
    return Math.max(width, height);
  }

  /** The whole picture as an area. */
  public Area area() {
    return new Area(0, 0, width, height);
  }
}
