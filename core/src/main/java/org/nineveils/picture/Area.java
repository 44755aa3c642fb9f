package org.nineveils.picture;

import java.util.Locale;

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
          String.format(
              Locale.ROOT,
              "area must lie in the picture and hold a pixel, was %d, %d, %d×%d",
              x,
              y,
              width,
              height));
    }
  }

  /** The area between two corners; right and bottom lie outside it. */
  public static Area between(int left, int top, int right, int bottom) {
    return new Area(left, top, right - left, bottom - top);
  }

  /** First column to the right of the area. */
  public int right() {
    return x + width;
  }

  /** First row below the area. */
  public int bottom() {
    return y + height;
  }

  /** How many pixels it holds. */
  public int pixels() {
    return Math.multiplyExact(width, height);
  }

  /** Whether the whole of this area lies in a picture of the given size. */
  public boolean fits(int pictureWidth, int pictureHeight) {
    return x + (long) width <= pictureWidth && y + (long) height <= pictureHeight;
  }

  /** Whether the other area lies in this one. */
  public boolean contains(Area other) {
    return other.x >= x && other.y >= y && other.right() <= right() && other.bottom() <= bottom();
  }

  /**
   * This area with a margin, its edges moved outward to multiples of a grid, cut off at a frame.
   *
   * @param margin pixels to every side, 0 or more
   * @param grid pixels, at least 1
   * @param frame what it may not leave; holds this area
   */
  public Area around(int margin, int grid, Area frame) {
    int left = Math.floorDiv(x - margin, grid) * grid;
    int top = Math.floorDiv(y - margin, grid) * grid;
    int right = -Math.floorDiv(-(right() + margin), grid) * grid;
    int bottom = -Math.floorDiv(-(bottom() + margin), grid) * grid;
    return between(
        Math.max(left, frame.x),
        Math.max(top, frame.y),
        Math.min(right, frame.right()),
        Math.min(bottom, frame.bottom()));
  }

  /** The smallest area that holds both. */
  public Area with(Area other) {
    return between(
        Math.min(x, other.x),
        Math.min(y, other.y),
        Math.max(right(), other.right()),
        Math.max(bottom(), other.bottom()));
  }
}
