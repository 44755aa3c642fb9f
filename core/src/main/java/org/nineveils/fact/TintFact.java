package org.nineveils.fact;

import java.util.OptionalDouble;

/** Mean a* of near-neutral tones: above 0 pink, below green; not there without such tones. */
final class TintFact implements Fact {
  @Override
  public String id() {
    return "tint";
  }

  @Override
  public String label() {
    return "Tint";
  }

  @Override
  public String unit() {
    return "a*";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    return ground.neutral().map(ab -> OptionalDouble.of(ab[0])).orElse(OptionalDouble.empty());
  }
}
