package org.nineveils.colour;

/**
 * Multiplies the light of sRGB-encoded values without decoding them where that can be left out.
 *
 * <p>Above its knee the sRGB curve is a power (IEC 61966-2-1), so encode(g · decode(v)) = (v +
 * 0.055) · g^(1/2.4) − 0.055 as long as value and result both lie above the knee; the few darker
 * ones go the long way. Which way a value goes depends on that value alone, so a run may be cut
 * anywhere.
 */
public final class EncodedGain {
  private static final float OFFSET = 0.055f;
  private static final float KNEE = (float) Srgb.ENCODED_KNEE;

  /** Exponent by which a gain of light becomes the factor of {@link #bright}. */
  public static final double ROOT = 1 / 2.4;

  private static final float STEEP = 1e20f;

  private EncodedGain() {}

  /**
   * The short way.
   *
   * @param v encoded values 0…1; not changed
   * @param root gain^(1/2.4) for each
   * @param out receives encoded values up to 1, right for all that are bright
   * @param n how many
   * @return whether some are dark, so that {@link #dark} must follow
   */
  public static boolean bright(float[] v, float[] root, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.min(1f, (v[i] + OFFSET) * root[i] - OFFSET);
    }
    for (int i = 0; i < n; i++) {
      if (v[i] < KNEE || out[i] < KNEE) {
        return true;
      }
    }
    return false;
  }

  /**
   * Puts the dark values right.
   *
   * @param v as for {@link #bright}
   * @param gain factor of light for each
   * @param out as {@link #bright} left it
   * @param light scratch
   * @param slow scratch
   */
  public static void dark(
      float[] v, float[] gain, float[] out, float[] light, float[] slow, int n) {
    SrgbLoops.decode(v, slow, n);
    for (int i = 0; i < n; i++) {
      light[i] = slow[i] * gain[i];
    }
    SrgbLoops.encode(light, slow, n);
    for (int i = 0; i < n; i++) {
      light[i] = Math.min(1f, Math.max(0f, (KNEE - Math.min(v[i], out[i])) * STEEP));
    }
    for (int i = 0; i < n; i++) {
      out[i] = out[i] * (1 - light[i]) + slow[i] * light[i];
    }
  }
}
