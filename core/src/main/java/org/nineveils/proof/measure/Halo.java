package org.nineveils.proof.measure;

/**
 * Light and dark seams beside edges, as too much sharpening leaves them: beside strong edges, how
 * much farther a pixel lies from its surroundings than its tone alone explains. The tone is
 * explained by the mean of what pixels of its luma have become; seams are what is left of that in
 * the direction of the edge's own contrast.
 */
final class Halo implements Measure {
  /** What lies around a pixel: standard deviation of a blur, share of the long side. */
  private static final double AROUND = 0.006;

  /** Luma that a pixel beside a strong edge differs from its surroundings by. */
  private static final float STRONG = 0.04f;

  private static final int TONES = 64;

  /** Share of the picture below which its edges say nothing. */
  private static final double FEWEST = 0.002;

  @Override
  public String id() {
    return "halo";
  }

  @Override
  public String label() {
    return "Halo";
  }

  @Override
  public String unit() {
    return "%";
  }

  @Override
  public double limit() {
    return 3;
  }

  @Override
  public Reading of(Pair pair) {
    float[] before = pair.luma(Pair.Side.PLAIN);
    float[] now = pair.luma(Pair.Side.FINISHED);
    float[] around = pair.blurred(Pair.Side.PLAIN, AROUND);
    double[] became = became(before, now);
    double seams = 0;
    int n = 0;
    for (int i = 0; i < before.length; i++) {
      float off = before[i] - around[i];
      if (Math.abs(off) >= STRONG) {
        seams += Math.signum(off) * (now[i] - at(became, before[i]));
        n++;
      }
    }
    return n < FEWEST * before.length
        ? Reading.not("there are hardly any strong edges on this photo")
        : Reading.of(Math.max(0, 100 * seams / n));
  }

  /** What pixels of each of some lumas have become on average, for reading between them. */
  private static double[] became(float[] before, float[] now) {
    double[] sums = new double[TONES + 1];
    double[] weights = new double[TONES + 1];
    for (int i = 0; i < before.length; i++) {
      double at = Math.min(1, Math.max(0, before[i])) * TONES;
      int low = Math.min(TONES - 1, (int) at);
      double part = at - low;
      sums[low] += (1 - part) * (now[i] - before[i]);
      weights[low] += 1 - part;
      sums[low + 1] += part * (now[i] - before[i]);
      weights[low + 1] += part;
    }
    for (int k = 0; k <= TONES; k++) {
      sums[k] = weights[k] > 0 ? sums[k] / weights[k] : 0;
    }
    return sums;
  }

  private static double at(double[] moved, float luma) {
    double at = Math.min(1, Math.max(0, luma)) * TONES;
    int low = Math.min(TONES - 1, (int) at);
    return luma + moved[low] + (moved[low + 1] - moved[low]) * (at - low);
  }
}
