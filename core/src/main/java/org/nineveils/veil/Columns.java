package org.nineveils.veil;

/** The numbers 0, 1, 2 … as floats: the JIT makes no vector code of a loop's own counter. */
public final class Columns {
  private static final float[] NUMBERS = new float[Band.CAPACITY];

  static {
    for (int i = 0; i < NUMBERS.length; i++) {
      NUMBERS[i] = i;
    }
  }

  private Columns() {}

  /**
   * Straight values along a row: out[i] = (i + from) · scale.
   *
   * @param out receives n values
   */
  public static void ramp(float from, float scale, float[] out, int n) {
    float[] numbers = NUMBERS;
    for (int i = 0; i < n; i++) {
      out[i] = (numbers[i] + from) * scale;
    }
  }
}
