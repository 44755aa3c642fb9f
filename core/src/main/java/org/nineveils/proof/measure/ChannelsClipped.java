package org.nineveils.proof.measure;

/**
 * Pixels of which a channel has newly come to the end of its range, where colour loses its shape.
 */
final class ChannelsClipped implements Measure {
  private static final float LOW = 0.5f / 255;
  private static final float HIGH = 254.5f / 255;

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
    return Newly.share(pair, id(), ChannelsClipped::mark);
  }

  private static void mark(float[] low, float[] high, boolean[] is) {
    for (int i = 0; i < is.length; i++) {
      is[i] = low[i] <= LOW || high[i] >= HIGH;
    }
  }
}
