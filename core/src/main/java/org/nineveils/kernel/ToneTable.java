package org.nineveils.kernel;

import java.util.function.DoubleUnaryOperator;

/**
 * A function of one tone as a table with straight lines between its entries.
 *
 * <p>Accuracy: exact at multiples of 1/4096; between them within f″/8 · 2⁻²⁴ of the function, that
 * is below 1e-5 for curves whose second derivative stays below 1 300. Functions that bend sharply
 * near black have a second table there, 64 times as fine.
 */
public final class ToneTable {
  /** Where a finer table holds for functions that bend sharply near black: 1/64 of the range. */
  private static final int PARTS = 64;

  /**
   * By how much a function may be off half-way between two entries before the finer one is made.
   */
  private static final double NEAR = 1e-4;

  /** Straight pieces of the table; it has one entry more. */
  public static final int STEPS = 4096;

  /** A power of two above {@link #STEPS}, so that a mask keeps every place in the table. */
  private static final int LENGTH = 2 * STEPS;

  /** From here on, floats have no places behind the point: adding it makes a number whole. */
  private static final float WHOLE = 0x1.8p23f;

  private final float[] values = new float[LENGTH];
  private final float[] slopes = new float[LENGTH];

  /** Entries for 0, 1/262144 … 1/64; null where the others are near enough. */
  private final float[] low;

  /**
   * Tabulates a function.
   *
   * @param f takes 0…1; its values are limited to 0…1
   */
  public ToneTable(DoubleUnaryOperator f) {
    fill(values, f, STEPS);
    slopes();
    low = isNear(f) ? null : new float[STEPS + 2];
    if (low != null) {
      fill(low, f, (double) STEPS * PARTS);
    }
  }

  private static void fill(float[] entries, DoubleUnaryOperator f, double steps) {
    for (int i = 0; i <= STEPS; i++) {
      entries[i] = value(f, i / steps);
    }
    entries[STEPS + 1] = entries[STEPS];
  }

  private static float value(DoubleUnaryOperator f, double x) {
    return (float) Math.min(1, Math.max(0, f.applyAsDouble(x)));
  }

  private boolean isNear(DoubleUnaryOperator f) {
    double worst = 0;
    for (int i = 0; i < STEPS / PARTS; i++) {
      double between = (values[i] + values[i + 1]) / 2;
      worst = Math.max(worst, Math.abs(between - value(f, (i + 0.5) / STEPS)));
    }
    return worst <= NEAR;
  }

  /**
   * Takes a table over.
   *
   * @param entries {@link #STEPS} + 1 values in 0…1, for 0, 1/4096 … 1
   */
  public ToneTable(float[] entries) {
    System.arraycopy(entries, 0, values, 0, STEPS + 1);
    slopes();
    low = null;
  }

  private void slopes() {
    for (int i = 0; i < STEPS; i++) {
      slopes[i] = values[i + 1] - values[i];
    }
  }

  /*
   * How: the places are found in a loop of its own, which becomes vector code; and the bits of a
   * float that was made whole are a place that a mask keeps in the table, so nothing is checked.
   */
  /**
   * Looks n tones up.
   *
   * @param in 0…1, not changed; what lies beyond counts as the nearer end
   * @param out receives 0…1; another array than {@code in}
   * @param between scratch, at least n values
   * @param n how many
   */
  public void run(float[] in, float[] out, float[] between, int n) {
    for (int i = 0; i < n; i++) {
      float at = Math.min(1f, Math.max(0f, in[i])) * STEPS;
      float place = (at - 0.5f) + WHOLE;
      out[i] = place;
      between[i] = at - (place - WHOLE);
    }
    float[] table = values;
    float[] slope = slopes;
    int mask = table.length - 1;
    for (int i = 0; i < n; i++) {
      int k = Float.floatToRawIntBits(out[i]) & mask;
      out[i] = table[k] + slope[k & (slope.length - 1)] * between[i];
    }
    if (low != null) {
      runLow(in, out, n);
    }
  }

  private void runLow(float[] in, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      if (in[i] < 1f / PARTS) {
        float at = Math.max(0f, in[i]) * (STEPS * PARTS);
        int k = (int) at;
        out[i] = low[k] + (low[k + 1] - low[k]) * (at - k);
      }
    }
  }
}
