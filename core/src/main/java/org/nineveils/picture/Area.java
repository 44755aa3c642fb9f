package org.nineveils.picture;

/**
 * A rectangle of pixels.
 *
 * @param x left edge, pixels, 0 or more
 * @param y top edge, pixels, 0 or more
 * @param width pixels, at least 1
 * @param height pixels, at least 1
 */
public record Area(int x, int y, int width, int height) {
  public Area {
    if (x < 0 || y < 0 || width < 1 || height < 1) {
      throw new IllegalArgumentException(
          "area must lie in the picture and hold a pixel, was "
              + x
              + ", "
              + y
              + ", "
              + width
              + "×"
              + height);
    }
  }

  /** Whether the whole of this area lies in a picture of the given size. */
  public boolean fits(int pictureWidth, int pictureHeight) {
    return x + (long) width <= pictureWidth && y + (long) height <= pictureHeight;
  }
}
