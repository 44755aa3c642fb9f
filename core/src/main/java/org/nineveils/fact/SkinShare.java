package org.nineveils.fact;

import java.util.OptionalDouble;

/** Share of the picture that is skin, 0…1. */
final class SkinShare implements Fact {
  @Override
  public String id() {
    return "skin-share";
  }

  @Override
  public String label() {
    return "Skin share";
  }

  @Override
  public String unit() {
    return "share";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    return OptionalDouble.of(ground.skin()[0].length / (double) ground.lab()[0].length);
  }
}
