package org.nineveils.proof.measure;

/**
 * How far the darkest tones have been lifted: difference of the second percentile of L*. A matte
 * look lifts them by some fifteen; a washed-out picture by far more.
 */
final class BlacksLifted implements Measure {
  private static final double SHARE = 0.02;

  @Override
  public String id() {
    return "washed";
  }

  @Override
  public String label() {
    return "Blacks lifted";
  }

  @Override
  public String word() {
    return "blacks";
  }

  @Override
  public String unit() {
    return "L*";
  }

  @Override
  public double limit() {
    return 26;
  }

  @Override
  public Reading of(Pair pair) {
    Seen plain = pair.seen(Pair.Side.PLAIN);
    double before = plain.once("darkest", () -> darkest(pair, plain.lab()[0]));
    double now = darkest(pair, pair.seen(Pair.Side.FINISHED).lab()[0]);
    return Reading.of(Math.max(0, now - before));
  }

  private static double darkest(Pair pair, float[] l) {
    int[] counts = new int[1001];
    int n = 0;
    for (int i = 0; i < l.length; i++) {
      if (!pair.isFramed(i)) {
        counts[Math.max(0, Math.min(1000, Math.round(l[i] * 10)))]++;
        n++;
      }
    }
    int below = 0;
    for (int k = 0; k < counts.length; k++) {
      below += counts[k];
      if (below >= SHARE * n) {
        return k / 10.0;
      }
    }
    return 100;
  }
}
