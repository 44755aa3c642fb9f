package org.nineveils.proof.measure;

/**
 * The cast that near-neutral tones have got: distance in a*, b* between their means before and
 * after. Near-neutral is chroma below 5 between L* 20 and 95 on the plain photo.
 */
final class NeutralCast implements Measure {
  private static final double NEUTRAL = 5;
  private static final double DARKEST = 20;
  private static final double LIGHTEST = 95;

  /** Share of the picture below which its neutrals say nothing. */
  private static final double FEWEST = 0.01;

  @Override
  public String id() {
    return "cast";
  }

  @Override
  public String label() {
    return "Neutral cast";
  }

  @Override
  public String unit() {
    return "a*b*";
  }

  @Override
  public double limit() {
    return 12;
  }

  @Override
  public Reading of(Pair pair) {
    float[][] before = pair.lab(Pair.Side.PLAIN);
    float[][] now = pair.lab(Pair.Side.FINISHED);
    double a = 0;
    double b = 0;
    int n = 0;
    for (int i = 0; i < before[0].length; i++) {
      float off = before[1][i] * before[1][i] + before[2][i] * before[2][i];
      boolean neutral = off < NEUTRAL * NEUTRAL;
      if (neutral && before[0][i] >= DARKEST && before[0][i] <= LIGHTEST) {
        a += now[1][i] - before[1][i];
        b += now[2][i] - before[2][i];
        n++;
      }
    }
    return n < FEWEST * before[0].length
        ? Reading.not("hardly anything neutral is on this photo")
        : Reading.of(Math.hypot(a / n, b / n));
  }
}
