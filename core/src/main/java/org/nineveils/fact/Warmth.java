package org.nineveils.fact;

import java.util.OptionalDouble;

/** Mean b* of near-neutral tones: above 0 yellow, below blue; not there without such tones. */
final class Warmth implements Fact {
  @Override
  public String id() {
    return "warmth";
  }

  @Override
  public String label() {
    return "Warmth";
  }

  @Override
  public String unit() {
    return "b*";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    return ground.neutral().map(ab -> OptionalDouble.of(ab[1])).orElse(OptionalDouble.empty());
  }
}
