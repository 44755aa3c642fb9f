package org.nineveils.stack;

import org.nineveils.kernel.Band;

/** Lays a share of one band over another. */
final class Mixing {
  private Mixing() {}

  /** The same share everywhere. */
  static void mix(Band below, Band above, float share, int n) {
    mix(below.r, above.r, share, n);
    mix(below.g, above.g, share, n);
    mix(below.b, above.b, share, n);
  }

  private static void mix(float[] below, float[] above, float share, int n) {
    for (int i = 0; i < n; i++) {
      below[i] += (above[i] - below[i]) * share;
    }
  }

  /** The share that is left by a mask, pixel by pixel. */
  static void masked(Band below, Band above, float[] mask, float share, int n) {
    masked(below.r, above.r, mask, share, n);
    masked(below.g, above.g, mask, share, n);
    masked(below.b, above.b, mask, share, n);
  }

  private static void masked(float[] below, float[] above, float[] mask, float share, int n) {
    for (int i = 0; i < n; i++) {
      below[i] += (above[i] - below[i]) * (mask[i] * share);
    }
  }
}
