package org.nineveils.proof.measure;

import org.nineveils.region.Regions;

/**
 * How much eyes have changed: the third quartile of ΔE00 over their pixels, so that the whites or
 * the iris alone count. Where the whole picture has lost its colours, by lightness alone.
 */
final class EyesChanged implements Measure {
  private static final double QUARTILE = 0.75;

  @Override
  public String id() {
    return "eyes";
  }

  @Override
  public String label() {
    return "Eyes changed";
  }

  @Override
  public String word() {
    return "eyes";
  }

  @Override
  public String unit() {
    return "ΔE00";
  }

  @Override
  public String region() {
    return Regions.EYES;
  }

  @Override
  public double limit() {
    return 14;
  }

  @Override
  public Reading of(Pair pair) {
    boolean colourless = Colourless.is(pair);
    return InRegion.judged(
        pair,
        region(),
        (before, now) -> {
          float[][] from = colourless ? new float[][] {before[0], now[1], now[2]} : before;
          return Reading.of(InRegion.changed(from, now, QUARTILE));
        });
  }
}
