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
    return Newly.share(pair, (low, high) -> low <= LOW || high >= HIGH);
  }
}
