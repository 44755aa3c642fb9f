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
   * Straight values along a row: out[i] = (x + i + offset) · scale. The column is added first,
   * exactly, so that a pixel gets the same bits wherever a run begins.
   *
   * @param x column of the first pixel in the whole picture
   * @param offset added to every column
   * @param scale factor
   * @param out receives n values
   * @param n how many, at most {@link #MOST}
   */
  public static void ramp(int x, float offset, float scale, float[] out, int n) {
    float[] numbers = NUMBERS;
    float first = x;
    for (int i = 0; i < n; i++) {
      out[i] = (numbers[i] + first + offset) * scale;
    }
  }
}
