package org.nineveils.kernel;

import org.nineveils.picture.Area;
import org.nineveils.picture.PictureShelf;

/**
 * Size of the picture that is rendered, and the long side that shares refer to.
 *
 * @param width pixels
 * @param height pixels
 * @param longSide of the photo, pixels: the longer of both, unless a close-up is rendered by itself
 * @param shelf pictures that veils may lay over it
 */
public record Frame(int width, int height, int longSide, PictureShelf shelf) {
  /** A whole photo. */
  public Frame(int width, int height, PictureShelf shelf) {
    this(width, height, Math.max(width, height), shelf);
  }

  /** The whole picture as an area. */
  public Area area() {
    return new Area(0, 0, width, height);
  }
}
