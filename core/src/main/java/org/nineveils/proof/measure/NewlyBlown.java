package org.nineveils.proof.measure;

/**
 * Tones that were something and are paper white: red, green and blue all in the topmost two of 256
 * codes. What was white before does not count. Common practice, no published source.
 */
final class NewlyBlown implements Measure {
  private static final float WHITE = 253.5f / 255;

  @Override
  public String id() {
    return "blown";
  }

  @Override
  public String label() {
    return "Newly blown";
  }

  @Override
  public String unit() {
    return "%";
  }

  @Override
  public double limit() {
    return 1;
  }

  @Override
  public Reading of(Pair pair) {
    return Newly.share(pair, id(), NewlyBlown::mark);
  }

  private static void mark(float[] low, float[] high, boolean[] is) {
    for (int i = 0; i < is.length; i++) {
      is[i] = low[i] >= WHITE;
    }
  }
}
