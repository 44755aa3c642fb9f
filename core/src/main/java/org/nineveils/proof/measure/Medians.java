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
   * @param planes L*, a*, b* of at least one pixel
   */
  static Lab of(float[][] planes) {
    return new Lab(of(planes[0]), of(planes[1]), of(planes[2]));
  }

  private static double of(float[] plane) {
    int[] counts = new int[BINS];
    int all = plane.length;
    for (float v : plane) {
      int bin = Math.round((v - LOWEST) * PER_UNIT);
      counts[Math.max(0, Math.min(BINS - 1, bin))]++;
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
