package org.nineveils.fact;

import java.util.OptionalDouble;

/** Chroma of the medians of a* and b* of skin; not there without skin. */
final class SkinChromaFact implements Fact {
  @Override
  public String id() {
    return "skin-chroma";
  }

  @Override
  public String label() {
    return "Skin chroma";
  }

  @Override
  public String unit() {
    return "C*";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    return ground.hasSkin()
        ? OptionalDouble.of(
            Math.hypot(
                Ground.quantile(ground.skin()[1], 0.5), Ground.quantile(ground.skin()[2], 0.5)))
        : OptionalDouble.empty();
  }
}
