package org.nineveils.colour;

import java.util.function.DoubleUnaryOperator;

/** Derives polynomial coefficients from a closed form, so that none has to be typed. */
public final class Chebyshev {
  private Chebyshev() {}

  /**
   * Polynomial through the Chebyshev nodes of an interval, close to the best of its degree.
   *
   * @param f function, smooth on the interval
   * @param from lower end
   * @param to upper end, above {@code from}
   * @param degree 1…8
   * @return degree + 1 coefficients, constant term first
   */
  public static float[] fit(DoubleUnaryOperator f, double from, double to, int degree) {
    int n = degree + 1;
    double[][] rows = new double[n][n + 1];
    for (int i = 0; i < n; i++) {
      double x = (from + to) / 2 + (to - from) / 2 * Math.cos(Math.PI * (2 * i + 1) / (2.0 * n));
      for (int j = 0; j < n; j++) {
        rows[i][j] = Math.pow(x, j);
      }
      rows[i][n] = f.applyAsDouble(x);
    }
    return solve(rows);
  }

  private static float[] solve(double[][] rows) {
    int n = rows.length;
    for (int i = 0; i < n; i++) {
      int pivot = i;
      for (int r = i + 1; r < n; r++) {
        pivot = Math.abs(rows[r][i]) > Math.abs(rows[pivot][i]) ? r : pivot;
      }
      double[] swap = rows[i];
      rows[i] = rows[pivot];
      rows[pivot] = swap;
      for (int r = 0; r < n; r++) {
        double factor = r == i ? 0 : rows[r][i] / rows[i][i];
        for (int c = i; c <= n && factor != 0; c++) {
          rows[r][c] -= factor * rows[i][c];
        }
      }
    }
    float[] result = new float[n];
    for (int i = 0; i < n; i++) {
      result[i] = (float) (rows[i][n] / rows[i][i]);
    }
    return result;
  }
}
