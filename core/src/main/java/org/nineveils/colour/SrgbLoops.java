package org.nineveils.colour;

/**
 * The sRGB transfer function over arrays, written so that the JIT turns the loops into vector code.
 *
 * <p>Accuracy: within 1e-6 of {@link Srgb} on 0…1 (a test holds it to that), far below half a step
 * of 16 bits.
 */
public final class SrgbLoops {
  /*
   * How: y^2.4 = y² · (y^¼)^1.6 and x^(1/2.4) = (x^⅛)^(10/3); the fractional powers of the roots are
   * smooth on a short interval, so a polynomial of degree five reaches float accuracy. The two
   * branches of the standard are joined without a branch: line(min(v, knee)) + power(max(v, knee))
   * minus their common value at the knee.
   */
  private static final double LOW_Y = (Srgb.ENCODED_KNEE + 0.055) / 1.055;
  private static final float[] P = Chebyshev.fit(s -> Math.pow(s, 1.6), root(LOW_Y, 4), 1, 5);
  private static final float P0 = P[0], P1 = P[1], P2 = P[2], P3 = P[3], P4 = P[4], P5 = P[5];
  private static final float[] Q =
      Chebyshev.fit(s -> Math.pow(s, 10.0 / 3), root(Srgb.LINEAR_KNEE, 8), 1, 6);
  private static final float Q0 = Q[0], Q1 = Q[1], Q2 = Q[2], Q3 = Q[3], Q4 = Q[4], Q5 = Q[5];
  private static final float Q6 = Q[6];

  private static final float ENC_KNEE = (float) Srgb.ENCODED_KNEE;
  private static final float LIN_KNEE = (float) Srgb.LINEAR_KNEE;
  private static final float TO_LINE = (float) (1 / 12.92);

  private SrgbLoops() {}

  /**
   * Decodes sRGB to linear light.
   *
   * @param in encoded values 0…1, at least n; not changed
   * @param out linear light 0…1, at least n; another array than {@code in}
   * @param n how many
   */
  public static void decode(float[] in, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      float u = in[i];
      float y = (Math.max(u, ENC_KNEE) + 0.055f) * (1 / 1.055f);
      float s = (float) Math.sqrt((float) Math.sqrt(y));
      float p = ((((P5 * s + P4) * s + P3) * s + P2) * s + P1) * s + P0;
      out[i] = y * y * p + (Math.min(u, ENC_KNEE) - ENC_KNEE) * TO_LINE;
    }
  }

  /**
   * Encodes linear light as sRGB, limited to 0…1.
   *
   * @param in linear light, any finite value; not changed
   * @param out encoded values 0…1, at least n; another array than {@code in}
   * @param n how many
   */
  public static void encode(float[] in, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      float x = Math.min(1f, Math.max(0f, in[i]));
      float r = (float) Math.sqrt((float) Math.sqrt((float) Math.sqrt(Math.max(x, LIN_KNEE))));
      float q = (((((Q6 * r + Q5) * r + Q4) * r + Q3) * r + Q2) * r + Q1) * r + Q0;
      float v = 1.055f * q - 0.055f + (Math.min(x, LIN_KNEE) - LIN_KNEE) * 12.92f;
      out[i] = Math.min(1f, Math.max(0f, v));
    }
  }

  private static double root(double x, int degree) {
    return Math.pow(x, 1.0 / degree);
  }
}
