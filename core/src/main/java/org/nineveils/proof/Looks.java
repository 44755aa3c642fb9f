package org.nineveils.proof;

import java.util.HashMap;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import org.nineveils.colour.LabLoops;
import org.nineveils.fact.Facts;
import org.nineveils.fact.Ground;
import org.nineveils.picture.Picture;

/**
 * What a picture looks like, as far as faults are told by it. A colour cast is read off the pixels
 * that were near neutral in the plain photo, before and after: tones that became neutral by losing
 * all colour, and tones that are no longer near neutral, mislead otherwise.
 *
 * @param numbers facts by id, “tint” and “warmth”: mean a* and b* of those pixels, and “colour”:
 *     mean chroma of those that had one; what is not there is left out
 */
record Looks(Map<String, Double> numbers) {
  Looks {
    numbers = Map.copyOf(numbers);
  }

  private static final Set<String> WANTED =
      Set.of("lightness", "contrast", "greens-chroma", "noise", "skin-hue");

  /** Chroma in L*a*b* below which a tone may be a neutral one under a cast. */
  private static final double NEAR_NEUTRAL = 16;

  /** Share of the picture below which such tones say nothing. */
  private static final double FEWEST = 0.02;

  /**
   * Pixels of a plain photo that casts and colours are read off, in the finished picture too.
   *
   * @param neutral may be neutral ones; empty where too few are to say anything
   * @param coloured have a colour and are no greens
   */
  @SuppressWarnings("ArrayRecordComponent") // as many as pixels
  record Places(boolean[] neutral, boolean[] coloured) {
    static Places of(Picture plain, float[] skin) {
      float[][] lab = lab(plain);
      boolean[] neutral = new boolean[lab[0].length];
      boolean[] coloured = new boolean[neutral.length];
      int n = 0;
      for (int i = 0; i < neutral.length; i++) {
        boolean isTone = lab[0][i] > 12 && lab[0][i] < 97;
        boolean isNear = Math.hypot(lab[1][i], lab[2][i]) < NEAR_NEUTRAL;
        double hue = Math.toDegrees(Math.atan2(lab[2][i], lab[1][i]));
        neutral[i] = isTone && isNear && skin[i] <= 0.2f;
        coloured[i] = isTone && !isNear && !(hue > Mended.YELLOWEST && hue < Mended.BLUEST);
        n += neutral[i] ? 1 : 0;
      }
      return new Places(
          n < FEWEST * neutral.length ? new boolean[neutral.length] : neutral, coloured);
    }
  }

  /**
   * What a picture looks like.
   *
   * @param places of the plain photo
   */
  static Looks of(Picture picture, Places places) {
    float[][] lab = lab(picture);
    double[] sum = new double[3];
    int neutral = 0;
    int coloured = 0;
    for (int i = 0; i < lab[0].length; i++) {
      if (places.neutral()[i]) {
        sum[0] += lab[1][i];
        sum[1] += lab[2][i];
        neutral++;
      } else if (places.coloured()[i]) {
        sum[2] += Math.hypot(lab[1][i], lab[2][i]);
        coloured++;
      }
    }
    Map<String, Double> numbers = new HashMap<>(Facts.of(Ground.of(picture), WANTED));
    if (neutral > 0) {
      numbers.put("tint", sum[0] / neutral);
      numbers.put("warmth", sum[1] / neutral);
    }
    if (coloured > 0) {
      numbers.put("colour", sum[2] / coloured);
    }
    return new Looks(numbers);
  }

  private static float[][] lab(Picture picture) {
    float[][] lab = {picture.r().clone(), picture.g().clone(), picture.b().clone()};
    int n = lab[0].length;
    LabLoops.fromSrgb(lab[0], lab[1], lab[2], new float[3][n], n);
    return lab;
  }

  /** One of the numbers. */
  OptionalDouble number(String id) {
    Double value = numbers.get(id);
    return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
  }
}
