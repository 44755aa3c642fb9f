package org.nineveils.proof.measure;

/**
 * Tones that were something and are black: red, green and blue all in the lowest two of 256 codes.
 * Common practice, no published source.
 */
final class NewlyBlocked implements Measure {
  private static final float BLACK = 1.5f / 255;

  @Override
  public String id() {
    return "blocked";
  }

  @Override
  public String label() {
    return "Newly blocked";
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
    return Newly.share(pair, id(), NewlyBlocked::mark);
  }

  private static void mark(float[] low, float[] high, boolean[] is) {
    for (int i = 0; i < is.length; i++) {
      is[i] = high[i] <= BLACK;
    }
  }
}
