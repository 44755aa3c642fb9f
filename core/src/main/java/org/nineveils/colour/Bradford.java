package org.nineveils.colour;

/**
 * Bradford chromatic adaptation: how colours move when the white moves.
 *
 * <p>Source: the linear Bradford transform as published in the ICC specification (ICC.1:2022, Annex
 * E), cone matrix of Lam and Rigg.
 */
public final class Bradford {
  private static final Matrix3 CONES =
      new Matrix3(0.8951, 0.2664, -0.1614, -0.7502, 1.7135, 0.0367, 0.0389, -0.0685, 1.0296);

  private Bradford() {}

  /**
   * The matrix that takes XYZ seen under one white to XYZ seen under another.
   *
   * @param from white of the source
   * @param to white of the result
   * @return matrix on XYZ column vectors
   */
  public static Matrix3 adapt(Chromaticity from, Chromaticity to) {
    double[] a = cones(from);
    double[] b = cones(to);
    return CONES
        .inverse()
        .after(Matrix3.diagonal(b[0] / a[0], b[1] / a[1], b[2] / a[2]))
        .after(CONES);
  }

  private static double[] cones(Chromaticity white) {
    double[] xyz = white.toXyz();
    return CONES.apply(xyz[0], xyz[1], xyz[2]);
  }
}
