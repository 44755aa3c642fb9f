package org.nineveils.colour;

/**
 * How far chroma can go at a lightness and hue of Oklab until sRGB cannot show the colour.
 *
 * <p>On the way from grey to the colour, each channel is a polynomial of third degree in the share
 * of chroma; where the first of them leaves 0…1 is found, between its turning points, by the
 * Illinois variant of the rule of false position (M. Dowell, P. Jarratt, BIT 11, 1971).
 */
final class GamutEdge {
  private static final int MOST_STEPS = 16;

  /** The matrices of {@link Oklab}. */
  private static final double[][] LAB_TO_CONES = {
    {0.3963377774, 0.2158037573}, {-0.1055613458, -0.0638541728}, {-0.0894841775, -1.2914855480}
  };

  private static final double[][] CONES_TO_RGB = {
    {4.0767416621, -3.3077115913, 0.2309699292},
    {-1.2684380046, 2.6097574011, -0.3413193965},
    {-0.0041960863, -0.7034186147, 1.7076147010}
  };
  private static final double NEAR = 1e-7;

  /** Chroma that no colour has at any lightness, as |a| + |b| to lightness. */
  private static final double BEYOND = 8;

  private GamutEdge() {}

  /**
   * |a| + |b| at the border as a multiple of lightness, for each lightness 0…1 all hues round, with
   * one row and one column more that repeat the last; as long as a power of two. Near black that
   * hangs on the hue alone, so straight lines between rows are right there too. Made by one thread:
   * tasks would wait for the class that keeps it, which is still being set up.
   */
  static float[] table(int lights, int hues) {
    int width = hues + 2;
    float[] out = new float[Integer.highestOneBit((lights + 2) * width) * 2];
    for (int row = 0; row < lights + 2; row++) {
      double l = Math.min(0.999999, Math.max(1e-3, row / (double) lights));
      for (int hue = 0; hue < width; hue++) {
        double round = 4.0 * Math.min(hue, hues) / hues;
        double b = round < 2 ? 1 - Math.abs(1 - round) : Math.abs(3 - round) - 1;
        double a = round < 2 ? 1 - round : round - 3;
        out[row * width + hue] = (float) share(l, a * l, b * l, BEYOND);
      }
    }
    return out;
  }

  /**
   * The largest share of chroma up to which every channel stays in 0…1. A channel may leave the
   * range and come back on the way, so it is followed from one of its turning points to the next.
   *
   * @param l lightness, 0…1
   * @param a green to red
   * @param b blue to yellow
   * @param most share that is wanted at most
   */
  static double share(double l, double a, double b, double most) {
    double share = most;
    double k0 = LAB_TO_CONES[0][0] * a + LAB_TO_CONES[0][1] * b;
    double k1 = LAB_TO_CONES[1][0] * a + LAB_TO_CONES[1][1] * b;
    double k2 = LAB_TO_CONES[2][0] * a + LAB_TO_CONES[2][1] * b;
    double l3 = 3 * l;
    for (double[] m : CONES_TO_RGB) {
      // With cones (l + k t)³ and rows that sum to 1: l³ + p t + q t² + s t³.
      double m0 = m[0] * k0;
      double m1 = m[1] * k1;
      double m2 = m[2] * k2;
      double p = (m0 + m1 + m2) * l3 * l;
      double q = (m0 * k0 + m1 * k1 + m2 * k2) * l3;
      double s = m0 * k0 * k0 + m1 * k1 * k1 + m2 * k2 * k2;
      share = leaves(l * l * l, p, q, s, share);
    }
    return share;
  }

  /** Where a channel first leaves 0…1, or the share that it is asked up to. */
  private static double leaves(double grey, double p, double q, double s, double most) {
    double before = 0;
    double under = q * q - 3 * p * s; // turning points: p + 2 q t + 3 s t² = 0
    if (under > 0 && s != 0) {
      double root = Math.sqrt(under);
      double first = (-q - Math.copySign(root, s)) / (3 * s);
      double second = (-q + Math.copySign(root, s)) / (3 * s);
      if (first > 0 && first < most) {
        if (isOut(grey, p, q, s, first)) {
          return crossed(grey, p, q, s, 0, first);
        }
        before = first;
      }
      if (second > before && second < most) {
        if (isOut(grey, p, q, s, second)) {
          return crossed(grey, p, q, s, before, second);
        }
        before = second;
      }
    }
    return isOut(grey, p, q, s, most) ? crossed(grey, p, q, s, before, most) : most;
  }

  private static boolean isOut(double grey, double p, double q, double s, double t) {
    double v = grey + t * (p + t * (q + t * s));
    return v < -NEAR || v > 1 + NEAR;
  }

  private static double crossed(double grey, double p, double q, double s, double from, double to) {
    boolean above = grey + to * (p + to * (q + to * s)) > 1;
    return crossing(grey - (above ? 1 : 0), p, q, s, from, to);
  }

  /** The root of a polynomial between two places, from the side of the first. */
  private static double crossing(double c, double p, double q, double s, double from, double to) {
    double in = from;
    double out = to;
    double atIn = c + in * (p + in * (q + in * s));
    double atOut = c + out * (p + out * (q + out * s));
    int side = 0;
    for (int step = 0; step < MOST_STEPS && atIn * atOut < 0; step++) {
      double t = (in * atOut - out * atIn) / (atOut - atIn);
      double f = c + t * (p + t * (q + t * s));
      if (Math.abs(f) < NEAR) {
        return t;
      }
      if (f * atOut > 0) {
        out = t;
        atOut = f;
        atIn = side == 1 ? atIn / 2 : atIn;
        side = 1;
      } else {
        in = t;
        atIn = f;
        atOut = side == -1 ? atOut / 2 : atOut;
        side = -1;
      }
    }
    return in;
  }
}
