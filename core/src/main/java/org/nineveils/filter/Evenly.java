package org.nineveils.filter;

/**
 * Some of the pixels of a picture, spread over it: one of every so many in a row, each time at
 * another place among them, so that no column is left out whatever the width is (multiples of the
 * golden section, which fall evenly wherever one stops: H. Weyl, 1916).
 */
public final class Evenly {
  private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

  private Evenly() {}

  /**
   * The places, rising.
   *
   * @param pixels of the picture, 1 or more
   * @param every 1 or more
   */
  public static int[] some(int pixels, int every) {
    int n = (pixels + every - 1) / every;
    int[] out = new int[n];
    for (int k = 0; k < n; k++) {
      double part = k * GOLDEN;
      int own = (int) ((part - Math.floor(part)) * every);
      out[k] = Math.min(pixels - 1, k * every + own);
    }
    return out;
  }
}
