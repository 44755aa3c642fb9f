package org.nineveils.fact;

import java.util.OptionalDouble;

/** Noise of the averaged photo, codes of 256; see {@link Ground#noise}. */
final class NoiseFact implements Fact {
  @Override
  public String id() {
    return "noise";
  }

  @Override
  public String label() {
    return "Noise";
  }

  @Override
  public String unit() {
    return "codes";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    return ground.noise(false).map(OptionalDouble::of).orElse(OptionalDouble.empty());
  }
}
