package org.nineveils.colour;

/** Cube roots over arrays, without {@code Math.cbrt}, which the JIT does not vectorise. */
public final class CubeRoot {
  /*
   * How: x^(1/3) = (x^⅛)^(8/3); after three square roots the power is smooth on a short interval, so
   * that a polynomial of degree seven reaches float accuracy.
   */
  static final double LOWEST = 1e-5;
  private static final int DEGREE = 7;
  private static final float[] ROOT =
      Chebyshev.fit(y -> Math.pow(y, 8.0 / 3), Math.pow(LOWEST, 1.0 / 8), 1.01, DEGREE);

  private CubeRoot() {}

  /**
   * Cube roots in place.
   *
   * @param x 1e-5…1.08
   */
  public static void run(float[] x, int n) {
    for (int i = 0; i < n; i++) {
      x[i] = (float) Math.sqrt((float) Math.sqrt((float) Math.sqrt(x[i])));
    }
    float c7 = ROOT[7], c6 = ROOT[6], c5 = ROOT[5], c4 = ROOT[4];
    float c3 = ROOT[3], c2 = ROOT[2], c1 = ROOT[1], c0 = ROOT[0];
    for (int i = 0; i < n; i++) {
      float v = x[i];
      float high = ((c7 * v + c6) * v + c5) * v + c4;
      x[i] = (((high * v + c3) * v + c2) * v + c1) * v + c0;
    }
  }
}
