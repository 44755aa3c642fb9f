package org.nineveils.veil.crisp;

import org.nineveils.kernel.Band;
import org.nineveils.kernel.Limit;

/** Moves the three channels by the same step. */
final class Steps {
  private Steps() {}

  /** out = in + step, limited to 0…1. */
  static void add(Band in, float[] step, Band out, int n) {
    add(in.r, step, out.r, n);
    add(in.g, step, out.g, n);
    add(in.b, step, out.b, n);
    Limit.toRange(out, n);
  }

  private static void add(float[] in, float[] step, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = in[i] + step[i];
    }
  }
}
