package org.nineveils.picture;

/**
 * A planar picture: three planes of sRGB-encoded floats, rows from the top, no padding.
 *
 * <p>The arrays are shared, not copied; whoever makes a picture hands them over and no longer
 * writes to them once the picture is passed on.
 *
 * @param width pixels, at least 1
 * @param height pixels, at least 1
 * @param r red, width · height values in 0…1
 * @param g green, as red
 * @param b blue, as red
 */
@SuppressWarnings("ArrayRecordComponent") // identity is what callers want of planes this large
public record Picture(int width, int height, float[] r, float[] g, float[] b) {
  public Picture {
    if (width < 1 || height < 1) {
      throw new IllegalArgumentException("picture must have pixels, was " + width + "×" + height);
    }
    int n = Math.multiplyExact(width, height);
    if (r.length != n || g.length != n || b.length != n) {
      throw new IllegalArgumentException("planes must hold " + n + " values each");
    }
  }

  /** A black picture to be filled. */
  public static Picture blank(int width, int height) {
    int n = Math.multiplyExact(width, height);
    return new Picture(width, height, new float[n], new float[n], new float[n]);
  }

  /** The longer of width and height, in pixels. */
  public int longSide() {
    return Math.max(width, height);
  }

  /** The frame this picture fills, at 0, 0. */
  public Area area() {
    return new Area(0, 0, width, height);
  }
}
