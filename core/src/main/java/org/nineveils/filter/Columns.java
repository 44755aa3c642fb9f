package org.nineveils.filter;

/** The numbers 0, 1, 2 … as floats: the JIT makes no vector code of a loop's own counter. */
public final class Columns {
  /** Most values of a run. */
  public static final int MOST = 2048;

  private static final float[] NUMBERS = new float[MOST];

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
