package org.nineveils.proof.measure;

/**
 * Pixels that have newly become stronger in colour than cloth, skin and leaves are: chroma in Oklab
 * beyond {@value #NEON}. Set by eye; of sRGB's own corners red has 0.26, green 0.29, yellow 0.21.
 */
final class NewNeon implements Measure {
  static final float NEON = 0.2f;

  /** What chroma must have grown by: what was strong before is no news by a hair. */
  private static final float RISE = 0.02f;

  /** The same for what was neon before. */
  private static final float MORE = 0.06f;

  @Override
  public String id() {
    return "neon";
  }

  @Override
  public String label() {
    return "New neon";
  }

  @Override
  public String unit() {
    return "%";
  }

  @Override
  public double limit() {
    return 0.5;
  }

  @Override
  public Reading of(Pair pair) {
    float[] before = pair.strongChroma(Pair.Side.PLAIN);
    float[] now = pair.strongChroma(Pair.Side.FINISHED);
    Seen plain = pair.seen(Pair.Side.PLAIN);
    int n = 0;
    for (int i = 0; i < now.length; i++) {
      float grown = now[i] > NEON ? now[i] - plain.chroma(i) : 0;
      boolean isNew = grown >= (before[i] <= NEON ? RISE : MORE);
      n += isNew && !pair.isFramed(i) ? 1 : 0;
    }
    return Reading.of(100.0 * n / Math.max(1, pair.open()));
  }
}
