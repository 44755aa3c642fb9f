package org.nineveils.fact;

import java.util.OptionalDouble;

/** Spread of L*, from the 5th to the 95th percentile. */
final class ContrastFact implements Fact {
  @Override
  public String id() {
    return "contrast";
  }

  @Override
  public String label() {
    return "Contrast";
  }

  @Override
  public String unit() {
    return "L*";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    float[] l = ground.lab()[0];
    return OptionalDouble.of(Ground.quantile(l, 0.95) - Ground.quantile(l, 0.05));
  }
}
