package org.nineveils.fact;

import java.util.OptionalDouble;

/** Median L* of skin; not there without skin. */
final class SkinLightnessFact implements Fact {
  @Override
  public String id() {
    return "skin-lightness";
  }

  @Override
  public String label() {
    return "Skin lightness";
  }

  @Override
  public String unit() {
    return "L*";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    return ground.hasSkin()
        ? OptionalDouble.of(Ground.quantile(ground.skin()[0], 0.5))
        : OptionalDouble.empty();
  }
}
