package org.nineveils.colour;

/** Luma of encoded values with the weights of ITU-R BT.709. */
public final class Luma {
  private static final float R = 0.2126f;
  private static final float G = 0.7152f;
  private static final float B = 0.0722f;

  private Luma() {}

  /** Luma of one pixel. */
  public static float of(float r, float g, float b) {
    return R * r + G * g + B * b;
  }

  /**
   * Luma of n pixels.
   *
   * @param out receives the lumas; another array than the three
   */
  public static void run(float[] r, float[] g, float[] b, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = R * r[i] + G * g[i] + B * b[i];
    }
  }
}
