package org.nineveils.picture;

/**
 * A part of a photo at the photo's own size, by itself: what is rendered on it knows where in the
 * photo it lies.
 *
 * @param pixels of the part
 * @param x left edge in the photo, pixels
 * @param y top edge in the photo, pixels
 * @param width of the whole photo, pixels
 * @param height of the whole photo, pixels
 */
public record CloseUp(Picture pixels, int x, int y, int width, int height) {
  public CloseUp {
    if (!new Area(x, y, pixels.width(), pixels.height()).fits(width, height)) {
      throw new IllegalArgumentException("a close-up lies in its photo");
    }
  }

  /** A whole photo as one. */
  public static CloseUp whole(Picture photo) {
    return new CloseUp(photo, 0, 0, photo.width(), photo.height());
  }

  /** A part of a photo, copied. */
  public static CloseUp of(Picture photo, Area part) {
    Picture pixels = Part.whole(photo).cut(part).picture();
    return new CloseUp(pixels, part.x(), part.y(), photo.width(), photo.height());
  }

  /** Whether it is all of its photo. */
  public boolean isWhole() {
    return pixels.width() == width && pixels.height() == height;
  }

  /** Long side of the photo, pixels. */
  public int longSide() {
    return Math.max(width, height);
  }
}
