package org.nineveils.proof.measure;

import java.util.Optional;
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
    Optional<float[][]> before = InRegion.colours(pair, Pair.Side.PLAIN, region());
    Optional<float[][]> now = InRegion.colours(pair, Pair.Side.FINISHED, region());
    if (before.isEmpty() || now.isEmpty()) {
      return InRegion.none(region());
    }
    float[][] to = now.get();
    float[][] from = before.get();
    if (Colourless.is(pair)) {
      from = new float[][] {from[0], to[1], to[2]};
    }
    return Reading.of(InRegion.changed(from, to, QUARTILE));
  }
}
