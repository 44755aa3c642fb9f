package org.nineveils.fact;

import java.util.OptionalDouble;

/**
 * Median chroma of greens: hue angle in L*a*b* from 95 to 170°, chroma 8 and more; not there where
 * they take less than a hundredth of the picture.
 */
final class GreensChroma implements Fact {
  private static final double FAINTEST = 8;
  private static final double YELLOWEST = 95;
  private static final double BLUEST = 170;
  private static final double FEWEST = 0.01;

  @Override
  public String id() {
    return "greens-chroma";
  }

  @Override
  public String label() {
    return "Chroma of greens";
  }

  @Override
  public String unit() {
    return "C*";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    float[][] lab = ground.lab();
    float[] found = new float[lab[0].length];
    int n = 0;
    for (int i = 0; i < found.length; i++) {
      double chroma = Math.hypot(lab[1][i], lab[2][i]);
      double hue = Math.toDegrees(Math.atan2(lab[2][i], lab[1][i]));
      if (chroma >= FAINTEST && hue >= YELLOWEST && hue <= BLUEST) {
        found[n++] = (float) chroma;
      }
    }
    return n < FEWEST * found.length
        ? OptionalDouble.empty()
        : OptionalDouble.of(Ground.quantile(java.util.Arrays.copyOf(found, n), 0.5));
  }
}
