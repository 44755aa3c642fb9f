package org.nineveils.colour;

/**
 * A chromaticity in CIE 1931 xy.
 *
 * @param x CIE x, 0…1
 * @param y CIE y, above 0
 */
public record Chromaticity(double x, double y) {
  /** White of sRGB (IEC 61966-2-1). */
  public static final Chromaticity D65 = new Chromaticity(0.3127, 0.3290);

  public Chromaticity {
    if (!(y > 0) || !Double.isFinite(x)) {
      throw new IllegalArgumentException("chromaticity must have y above 0, was " + x + ", " + y);
    }
  }

  /** CIE 1960 u. */
  public double u() {
    return 4 * x / (-2 * x + 12 * y + 3);
  }

  /** CIE 1960 v. */
  public double v() {
    return 6 * y / (-2 * x + 12 * y + 3);
  }

  /** The chromaticity at CIE 1960 u, v. */
  public static Chromaticity ofUv(double u, double v) {
    double d = 2 * u - 8 * v + 4;
    return new Chromaticity(3 * u / d, 2 * v / d);
  }

  /** XYZ of this chromaticity with Y = 1. */
  public double[] toXyz() {
    return new double[] {x / y, 1, (1 - x - y) / y};
  }

  /**
   * Chromaticity of a black body.
   *
   * <p>Source: cubic fit of Kang et al., "Design of advanced color temperature control system for
   * HDTV applications", J. Korean Physical Society 41(6), 2002; within 0.0006 of Planck's law.
   *
   * @param kelvin temperature, 1 667…25 000 K
   * @throws IllegalArgumentException outside that range
   */
  public static Chromaticity blackBody(double kelvin) {
    if (!(kelvin >= 1667 && kelvin <= 25000)) {
      throw new IllegalArgumentException("temperature must be 1667 to 25000 K, was " + kelvin);
    }
    double t = 1e3 / kelvin;
    double x =
        kelvin <= 4000
            ? ((-0.2661239 * t - 0.2343589) * t + 0.8776956) * t + 0.179910
            : ((-3.0258469 * t + 2.1070379) * t + 0.2226347) * t + 0.240390;
    double y;
    if (kelvin <= 2222) {
      y = ((-1.1063814 * x - 1.34811020) * x + 2.18555832) * x - 0.20219683;
    } else if (kelvin <= 4000) {
      y = ((-0.9549476 * x - 1.37418593) * x + 2.09137015) * x - 0.16748867;
    } else {
      y = ((3.0817580 * x - 5.87338670) * x + 3.75112997) * x - 0.37001483;
    }
    return new Chromaticity(x, y);
  }
}
