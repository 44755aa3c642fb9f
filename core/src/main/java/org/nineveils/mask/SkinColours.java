package org.nineveils.mask;

/**
 * Colours of skin in light without a cast: hue angle in CIE Lab around that of skin, neither grey
 * nor very strong, nor black.
 *
 * <p>From light to deep, skin differs in lightness far more than in hue angle, and deeper skin is
 * redder (common practice, no published source). So the highest hue angle rises with lightness: h −
 * 0.27 · (L − 55) is at most hue + range. Above it, hair, wood and cream cloth are yellower. The
 * lowest is hue − 1.3 · range, whatever the lightness; clothes in brick and rust are redder. The
 * chroma that is needed is less in the deepest tones, by L / 25, and towards white, by (100 − L) /
 * 15; a yellower colour needs more. The product of all these counts from 0.18 on, from 0.44 on
 * wholly. The start values are set on the regions of the computer-made test photos.
 *
 * @param hue degrees
 * @param range degrees
 * @param floor chroma
 */
record SkinColours(float hue, float range, float floor) {
  private static final float MIDDLE = 55;

  /** How much the highest hue angle rises, degrees a unit of lightness. */
  private static final float TILT = 0.27f;

  private static final float ABOVE_FEATHER = 5;
  private static final float BELOW = 1.3f;
  private static final float BELOW_FEATHER = 10;

  /** How much more chroma a yellower colour needs, a degree. */
  private static final float CHROMA_PER_DEGREE = 0.36f;

  /** Of the chroma that is needed, what the feather below it takes. */
  private static final float CHROMA_FEATHER = 0.32f;

  private static final float LEAST_CHROMA = 2.1f;

  /** Chroma that is never enough. */
  private static final float FAINTEST = LEAST_CHROMA * (1 - CHROMA_FEATHER);

  private static final float NEAR_WHITE = 15;
  private static final float STRONGEST = 47;
  private static final float STRONGEST_FEATHER = 12;
  private static final float DARKEST = 20;
  private static final float DARKEST_FEATHER = 6;

  /** Lightness from which a colour needs its whole chroma. */
  private static final float DEEP = 25;

  private static final float NOT = 0.18f;
  private static final float WHOLLY = 0.44f;

  /** Weights of n pixels from an index on, 0…1. */
  void weigh(float[] ls, float[] as, float[] bs, int from, int n, float[] out, int at) {
    float highest = hue + range;
    float lowest = hue - BELOW * range;
    for (int i = 0; i < n; i++) {
      float l = ls[from + i];
      float a = as[from + i];
      float b = bs[from + i];
      float chroma = (float) Math.sqrt(a * a + b * b);
      float notStrong = RuleKind.smooth((STRONGEST - chroma) / STRONGEST_FEATHER + 1);
      float notBlack = RuleKind.smooth((l - DARKEST) / DARKEST_FEATHER + 1);
      if (notStrong * notBlack <= NOT || chroma <= FAINTEST) {
        out[at + i] = 0; // without asking for the angle, which takes longest
        continue;
      }
      float angle = (float) Math.toDegrees(Math.atan2(b, a));
      float upright = angle - TILT * (l - MIDDLE);
      float notYellow = RuleKind.smooth((highest - upright) / ABOVE_FEATHER + 1);
      float notRed = RuleKind.smooth((angle - lowest) / BELOW_FEATHER + 1);
      float needed = needed(floor, l, upright - hue);
      float some = RuleKind.smooth((chroma - needed) / (needed * CHROMA_FEATHER) + 1);
      float all = notYellow * notRed * some * notStrong * notBlack;
      out[at + i] = RuleKind.smooth((all - NOT) / (WHOLLY - NOT));
    }
  }

  /** Hue angle as if the colour were of middle lightness, degrees. */
  static float upright(float l, float a, float b) {
    return (float) Math.toDegrees(Math.atan2(b, a)) - TILT * (l - MIDDLE);
  }

  /** Chroma from which a colour may be skin. */
  private static float needed(float floor, float l, float yellower) {
    float white = Math.min(1f, Math.max(0f, (100 - l) / NEAR_WHITE));
    float own = floor * Math.min(white, Math.min(1f, l / DEEP));
    return Math.max(LEAST_CHROMA, own) + CHROMA_PER_DEGREE * Math.max(0f, yellower) * white;
  }
}
