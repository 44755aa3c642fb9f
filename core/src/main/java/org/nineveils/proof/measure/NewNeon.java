package org.nineveils.proof.measure;

/**
 * Pixels that have newly become stronger in colour than cloth, skin and leaves are: chroma in Oklab
 * beyond {@value #NEON}. Set by eye; of sRGB's own corners red has 0.26, green 0.29, yellow 0.21.
 */
final class NewNeon implements Measure {
  static final float NEON = 0.2f;

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
    int n = 0;
    for (int i = 0; i < now.length; i++) {
      n += now[i] > NEON && before[i] <= NEON ? 1 : 0;
    }
    return Reading.of(100.0 * n / now.length);
  }
}
