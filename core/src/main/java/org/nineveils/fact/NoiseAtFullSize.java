package org.nineveils.fact;

import java.util.OptionalDouble;

/** Noise of the photo at its own size, codes of 256; see {@link Ground#noise}. */
final class NoiseAtFullSize implements Fact {
  @Override
  public String id() {
    return "noise-full";
  }

  @Override
  public String label() {
    return "Noise at full size";
  }

  @Override
  public String unit() {
    return "codes";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    return ground.noise(true).map(OptionalDouble::of).orElse(OptionalDouble.empty());
  }
}
