package org.nineveils.proof.measure;

/**
 * Pixels of which a channel has newly come to the end of its range, where colour loses its shape:
 * it got there because the pixel grew lighter (or, at the lower end, darker), or what lies beside
 * it can be told from it by less than half of what it could. A strong colour that is brought back
 * to the border of the range at its own lightness has a channel at an end by construction and keeps
 * its shape.
 */
final class ChannelsClipped implements Measure {
  private static final float LOW = 0.5f / 255;
  private static final float HIGH = 254.5f / 255;

  /** Luma by which a pixel has grown lighter or darker. */
  private static final float MOVED = 0.02f;

  /** Squared distance in L*a*b* of neighbours below which there was no shape to lose. */
  private static final float SHAPE = 1;

  private static final float HALF = 0.25f; // squared

  @Override
  public String id() {
    return "channels";
  }

  @Override
  public String label() {
    return "Clipped channel";
  }

  @Override
  public String word() {
    return "clipped";
  }

  @Override
  public String unit() {
    return "%";
  }

  @Override
  public double limit() {
    return 8;
  }

  @Override
  public Reading of(Pair pair) {
    float[][] was = pair.seen(Pair.Side.PLAIN).ends();
    float[][] is = pair.seen(Pair.Side.FINISHED).ends();
    float[] before = pair.luma(Pair.Side.PLAIN);
    float[] now = pair.luma(Pair.Side.FINISHED);
    int n = 0;
    for (int i = 0; i < now.length; i++) {
      boolean low = is[0][i] <= LOW && was[0][i] > LOW;
      boolean high = is[1][i] >= HIGH && was[1][i] < HIGH;
      if ((low || high) && !pair.isFramed(i)) {
        boolean moved = (low && now[i] < before[i] - MOVED) || (high && now[i] > before[i] + MOVED);
        n += moved || isShapeLost(pair, i) ? 1 : 0;
      }
    }
    return Reading.of(100.0 * n / Math.max(1, pair.open()));
  }

  /** By the neighbours to the right and below. */
  private static boolean isShapeLost(Pair pair, int i) {
    int width = pair.area().width();
    float had = 0;
    float has = 0;
    int right = i % width < width - 1 ? i + 1 : -1;
    int below = i + width < pair.area().pixels() ? i + width : -1;
    for (int other : new int[] {right, below}) {
      if (other >= 0) {
        had += apart(pair.seen(Pair.Side.PLAIN).lab(), i, other);
        has += apart(pair.seen(Pair.Side.FINISHED).lab(), i, other);
      }
    }
    return had >= SHAPE && has < HALF * had;
  }

  private static float apart(float[][] lab, int i, int k) {
    float sum = 0;
    for (float[] plane : lab) {
      float d = plane[i] - plane[k];
      sum += d * d;
    }
    return sum;
  }
}
