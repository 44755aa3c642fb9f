package org.nineveils.proof.measure;

/**
 * Torn edges of masks: places where the plain photo goes over smoothly and what was done to it does
 * not. What was done is the difference of L*a*b*; a place counts where it jumps by five units and
 * more from one pixel to the next, across or down, while the plain photo there changes by less than
 * two. Per mille of the picture.
 */
final class TornEdges implements Measure {
  private static final float JUMP = 5;
  private static final float SMOOTH = 2;

  @Override
  public String id() {
    return "torn";
  }

  @Override
  public String label() {
    return "Torn edges";
  }

  @Override
  public String word() {
    return "torn";
  }

  @Override
  public String unit() {
    return "‰";
  }

  @Override
  public double limit() {
    return 2;
  }

  @Override
  public Reading of(Pair pair) {
    float[][] before = pair.seen(Pair.Side.PLAIN).lab();
    float[][] now = pair.seen(Pair.Side.FINISHED).lab();
    int w = pair.area().width();
    int n = 0;
    for (int i = 0; i + w < before[0].length; i++) {
      boolean across = i % w < w - 1 && isTorn(before, now, i, i + 1);
      if (!pair.isFramed(i) && (across || isTorn(before, now, i, i + w))) {
        n++;
      }
    }
    return Reading.of(1000.0 * n / before[0].length);
  }

  private static boolean isTorn(float[][] before, float[][] now, int i, int k) {
    float was = 0;
    float is = 0;
    for (int c = 0; c < 3; c++) {
      float own = before[c][k] - before[c][i];
      float made = now[c][k] - now[c][i] - own;
      was += own * own;
      is += made * made;
    }
    return was < SMOOTH * SMOOTH && is >= JUMP * JUMP;
  }
}
