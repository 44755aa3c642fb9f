package org.nineveils.proof.measure;

import org.nineveils.colour.Lab;

/** Medians by counting, to a sixteenth of a unit of L*a*b*. */
final class Medians {
  private static final int PER_UNIT = 16;
  private static final int LOWEST = -160;
  private static final int BINS = 320 * PER_UNIT;

  private Medians() {}

  /**
   * Medians of the planes, each on its own.
   *
   * @param planes L*, a*, b*
   * @param in pixels that count; at least one
   */
  static Lab of(float[][] planes, boolean[] in) {
    return new Lab(of(planes[0], in), of(planes[1], in), of(planes[2], in));
  }

  private static double of(float[] plane, boolean[] in) {
    int[] counts = new int[BINS];
    int all = 0;
    for (int i = 0; i < plane.length; i++) {
      if (in[i]) {
        int bin = Math.round((plane[i] - LOWEST) * PER_UNIT);
        counts[Math.max(0, Math.min(BINS - 1, bin))]++;
        all++;
      }
    }
    int below = 0;
    for (int bin = 0; bin < BINS; bin++) {
      below += counts[bin];
      if (below * 2 >= all) {
        return bin / (double) PER_UNIT + LOWEST;
      }
    }
    throw new IllegalArgumentException("the median of nothing");
  }
}
