package org.nineveils.colour;

/**
 * The sRGB transfer function and primaries, exact, in double precision.
 *
 * <p>Source: IEC 61966-2-1:1999 (transfer function with the 0.04045 / 12.92 branch) and the
 * matrices of CSS Color Module Level 4, section 10.2, for white x = 0.3127, y = 0.3290. Loops over
 * pixels use {@link SrgbLoops}, which is held to this class by a test.
 */
public final class Srgb {
  /** Encoded value below which the transfer function is a straight line. */
  public static final double ENCODED_KNEE = 0.04045;

  /** Linear value that belongs to {@link #ENCODED_KNEE}. */
  public static final double LINEAR_KNEE = ENCODED_KNEE / 12.92;

  /** Mid-grey: the encoded value of a surface that reflects 18 % of the light. */
  public static final double MID_GREY = encode(0.18);

  private static final Matrix3 TO_XYZ =
      new Matrix3(
          506752.0 / 1228815,
          87881.0 / 245763,
          12673.0 / 70218,
          87098.0 / 409605,
          175762.0 / 245763,
          12673.0 / 175545,
          7918.0 / 409605,
          87881.0 / 737289,
          1001167.0 / 1053270);

  private Srgb() {}

  /**
   * Turns an encoded value into linear light.
   *
   * @param encoded sRGB-encoded value, nominal 0…1; values below 0 follow the straight branch
   * @return linear light, 0…1 for input in 0…1
   */
  public static double decode(double encoded) {
    return encoded <= ENCODED_KNEE ? encoded / 12.92 : Math.pow((encoded + 0.055) / 1.055, 2.4);
  }

  /**
   * Turns linear light into an encoded value; the inverse of {@link #decode}.
   *
   * @param linear linear light, nominal 0…1
   * @return sRGB-encoded value
   */
  public static double encode(double linear) {
    return linear <= LINEAR_KNEE ? linear * 12.92 : 1.055 * Math.pow(linear, 1 / 2.4) - 0.055;
  }

  /** Linear sRGB to CIE XYZ (D65, Y of white = 1). */
  public static Matrix3 toXyz() {
    return TO_XYZ;
  }

  /** CIE XYZ (D65, Y of white = 1) to linear sRGB. */
  public static Matrix3 fromXyz() {
    return TO_XYZ.inverse();
  }
}
