package org.nineveils.fact;

import java.util.OptionalDouble;

/** Hue angle of the medians of a* and b* of skin, degrees; not there without skin. */
final class SkinHue implements Fact {
  @Override
  public String id() {
    return "skin-hue";
  }

  @Override
  public String label() {
    return "Skin hue";
  }

  @Override
  public String unit() {
    return "°";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    return ground.hasSkin()
        ? OptionalDouble.of(
            Math.toDegrees(
                Math.atan2(
                    Ground.quantile(ground.skin()[2], 0.5),
                    Ground.quantile(ground.skin()[1], 0.5))))
        : OptionalDouble.empty();
  }
}
