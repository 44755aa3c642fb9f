package org.nineveils.veil.curve;

import java.util.List;
import org.nineveils.setting.CurvePoint;

/**
 * A smooth curve through points that never runs past them: between two points it stays between
 * their values, so tones keep the order that the points give them.
 *
 * <p>Source: M. Steffen, "A simple method for monotonic interpolation in one dimension", Astronomy
 * and Astrophysics 239, 443–450 (1990), equations 2–11; at the ends the slope of the parabola
 * through three points, limited to twice the secant (section 3). Left of the first and right of the
 * last point the curve is level.
 */
final class MonotoneCubic {
  private final double[] x;
  private final double[] y;
  private final double[] slope;

  MonotoneCubic(List<CurvePoint> points) {
    x = points.stream().mapToDouble(CurvePoint::in).toArray();
    y = points.stream().mapToDouble(CurvePoint::out).toArray();
    slope = slopes();
  }

  double at(double u) {
    int last = x.length - 1;
    if (u <= x[0]) {
      return y[0];
    }
    if (u >= x[last]) {
      return y[last];
    }
    int i = 0;
    while (u > x[i + 1]) {
      i++;
    }
    double h = x[i + 1] - x[i];
    double s = (y[i + 1] - y[i]) / h;
    double a = (slope[i] + slope[i + 1] - 2 * s) / (h * h);
    double b = (3 * s - 2 * slope[i] - slope[i + 1]) / h;
    double d = u - x[i];
    return ((a * d + b) * d + slope[i]) * d + y[i];
  }

  private double[] slopes() {
    int n = x.length;
    double[] m = new double[n];
    for (int i = 1; i < n - 1; i++) {
      double h0 = x[i] - x[i - 1];
      double h1 = x[i + 1] - x[i];
      double s0 = (y[i] - y[i - 1]) / h0;
      double s1 = (y[i + 1] - y[i]) / h1;
      double p = (s0 * h1 + s1 * h0) / (h0 + h1);
      double bound = Math.min(Math.abs(s0), Math.abs(s1));
      m[i] = (Math.signum(s0) + Math.signum(s1)) * Math.min(bound, 0.5 * Math.abs(p));
    }
    m[0] = end(0, 1, 2);
    m[n - 1] = end(n - 1, n - 2, n - 3);
    return m;
  }

  /** Slope at an end: that of the parabola through the three points next to it. */
  private double end(int here, int next, int third) {
    double h = x[next] - x[here];
    double s = (y[next] - y[here]) / h;
    if (x.length == 2) {
      return s;
    }
    double beyond = x[third] - x[next];
    double p = s + (s - (y[third] - y[next]) / beyond) * h / (h + beyond);
    if (p * s <= 0) {
      return 0;
    }
    return Math.abs(p) > 2 * Math.abs(s) ? 2 * s : p;
  }
}
