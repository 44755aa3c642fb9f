package org.nineveils.colour;

/** A 3×3 matrix, row-major, for column vectors of three colour values. */
public record Matrix3(
    double m00,
    double m01,
    double m02,
    double m10,
    double m11,
    double m12,
    double m20,
    double m21,
    double m22) {

  /** A matrix that scales the three values apart from each other. */
  public static Matrix3 diagonal(double a, double b, double c) {
    return new Matrix3(a, 0, 0, 0, b, 0, 0, 0, c);
  }

  /** This matrix after {@code first}: the product this · first. */
  public Matrix3 after(Matrix3 first) {
    double[] a = rows();
    double[] b = first.rows();
    double[] p = new double[9];
    for (int row = 0; row < 3; row++) {
      for (int col = 0; col < 3; col++) {
        for (int k = 0; k < 3; k++) {
          p[row * 3 + col] += a[row * 3 + k] * b[k * 3 + col];
        }
      }
    }
    return of(p);
  }

  /** This matrix with every entry multiplied by {@code factor}. */
  public Matrix3 times(double factor) {
    return diagonal(factor, factor, factor).after(this);
  }

  /** The product of this matrix and a vector of three values. */
  public double[] apply(double x, double y, double z) {
    return new double[] {
      m00 * x + m01 * y + m02 * z, m10 * x + m11 * y + m12 * z, m20 * x + m21 * y + m22 * z
    };
  }

  /**
   * The inverse, by cofactors.
   *
   * @throws IllegalArgumentException if the matrix has no inverse
   */
  public Matrix3 inverse() {
    double c00 = m11 * m22 - m12 * m21;
    double c01 = m12 * m20 - m10 * m22;
    double c02 = m10 * m21 - m11 * m20;
    double det = m00 * c00 + m01 * c01 + m02 * c02;
    if (det == 0) {
      throw new IllegalArgumentException("matrix has no inverse: " + this);
    }
    return new Matrix3(
            c00,
            m02 * m21 - m01 * m22,
            m01 * m12 - m02 * m11,
            c01,
            m00 * m22 - m02 * m20,
            m02 * m10 - m00 * m12,
            c02,
            m01 * m20 - m00 * m21,
            m00 * m11 - m01 * m10)
        .times(1 / det);
  }

  /** The nine entries, row by row. */
  public double[] rows() {
    return new double[] {m00, m01, m02, m10, m11, m12, m20, m21, m22};
  }

  private static Matrix3 of(double[] m) {
    return new Matrix3(m[0], m[1], m[2], m[3], m[4], m[5], m[6], m[7], m[8]);
  }
}
