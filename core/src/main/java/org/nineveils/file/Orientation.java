package org.nineveils.file;

import org.nineveils.picture.Picture;

/**
 * Turns a picture upright by its EXIF orientation (Exif 2.32, tag 0x0112: 1 upright, 2 mirrored, 3
 * half turn, 4 mirrored half turn, 5 transposed, 6 quarter turn clockwise, 7 transversed, 8 quarter
 * turn anticlockwise).
 */
final class Orientation {
  private Orientation() {}

  /**
   * The upright picture.
   *
   * @param picture as stored
   * @param orientation 1…8; anything else counts as 1
   */
  static Picture upright(Picture picture, int orientation) {
    if (orientation < 2 || orientation > 8) {
      return picture;
    }
    boolean turned = orientation >= 5;
    int w = turned ? picture.height() : picture.width();
    int h = turned ? picture.width() : picture.height();
    return new Picture(
        w,
        h,
        plane(picture.r(), picture, w, h, orientation),
        plane(picture.g(), picture, w, h, orientation),
        plane(picture.b(), picture, w, h, orientation));
  }

  private static float[] plane(float[] in, Picture from, int w, int h, int orientation) {
    int sw = from.width();
    int sh = from.height();
    float[] out = new float[in.length];
    for (int y = 0; y < h; y++) {
      for (int x = 0; x < w; x++) {
        int sx = orientation >= 5 ? y : x;
        int sy = orientation >= 5 ? x : y;
        boolean flipX =
            orientation == 2 || orientation == 3 || orientation == 7 || orientation == 8;
        boolean flipY =
            orientation == 3 || orientation == 4 || orientation == 6 || orientation == 7;
        out[y * w + x] = in[(flipY ? sh - 1 - sy : sy) * sw + (flipX ? sw - 1 - sx : sx)];
      }
    }
    return out;
  }
}
