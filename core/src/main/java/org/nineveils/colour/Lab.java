package org.nineveils.colour;

/**
 * A colour in CIE 1976 L*a*b* under D50, the white of ICC profiles and of printed charts.
 *
 * <p>Source: CIE 15:2018, section 8.2.1, with its exact constants (6/29)³ and (29/3)³; sRGB's white
 * is adapted to D50 (x = 0.3457, y = 0.3585) by Bradford, as in CSS Color Module Level 4, section
 * 10.5.
 *
 * @param l lightness, 0…100
 * @param a green to red, about −80…95 for sRGB
 * @param b blue to yellow, about −115…95 for sRGB
 */
public record Lab(double l, double a, double b) {
  private static final Chromaticity D50 = new Chromaticity(0.3457, 0.3585);
  private static final double[] WHITE = D50.toXyz();
  private static final Matrix3 FROM_LINEAR =
      Bradford.adapt(Chromaticity.D65, D50).after(Srgb.toXyz());
  private static final double EPSILON = 216.0 / 24389;
  private static final double KAPPA = 24389.0 / 27;

  /**
   * The colour of sRGB-encoded values.
   *
   * @param r red, nominal 0…1
   * @param g green
   * @param b blue
   */
  public static Lab ofSrgb(double r, double g, double b) {
    double[] xyz = FROM_LINEAR.apply(Srgb.decode(r), Srgb.decode(g), Srgb.decode(b));
    double fx = f(xyz[0] / WHITE[0]);
    double fy = f(xyz[1] / WHITE[1]);
    double fz = f(xyz[2] / WHITE[2]);
    return new Lab(116 * fy - 16, 500 * (fx - fy), 200 * (fy - fz));
  }

  /** Linear sRGB to XYZ over the white, for loops. */
  static float[][] scaledRows() {
    double[] m = FROM_LINEAR.rows();
    float[][] rows = new float[3][3];
    for (int i = 0; i < 9; i++) {
      rows[i / 3][i % 3] = (float) (m[i] / WHITE[i / 3]);
    }
    return rows;
  }

  private static double f(double t) {
    return t > EPSILON ? Math.cbrt(t) : (KAPPA * t + 16) / 116;
  }

  /**
   * The sRGB-encoded values of this colour, which lie outside 0…1 where it is out of gamut.
   *
   * @return red, green, blue
   */
  public double[] toSrgb() {
    double fy = (l + 16) / 116;
    double[] linear =
        FROM_LINEAR
            .inverse()
            .apply(
                WHITE[0] * back(fy + a / 500), WHITE[1] * back(fy), WHITE[2] * back(fy - b / 200));
    return new double[] {Srgb.encode(linear[0]), Srgb.encode(linear[1]), Srgb.encode(linear[2])};
  }

  private static double back(double f) {
    return f * f * f > EPSILON ? f * f * f : (116 * f - 16) / KAPPA;
  }
}
