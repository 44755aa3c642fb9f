package org.nineveils.fact;

import java.util.OptionalDouble;

/** Median L* of the photo. */
final class Lightness implements Fact {
  @Override
  public String id() {
    return "lightness";
  }

  @Override
  public String label() {
    return "Lightness";
  }

  @Override
  public String unit() {
    return "L*";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    return OptionalDouble.of(Ground.quantile(ground.lab()[0], 0.5));
  }
}
