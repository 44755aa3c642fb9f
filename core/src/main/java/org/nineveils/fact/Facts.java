package org.nineveils.fact;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** The facts that this build knows. */
public final class Facts {
  /** Counted up whenever a fact gives other numbers than before: kept ones are then stale. */
  public static final int BUILD = 1;

  private static final List<Fact> ALL =
      List.of(
          new Lightness(),
          new ContrastFact(),
          new NearBlack(),
          new NearWhite(),
          new Warmth(),
          new TintFact(),
          new SkinLightnessFact(),
          new SkinHue(),
          new SkinChromaFact(),
          new SkinShare(),
          new GreensChroma(),
          new NoiseFact(),
          new NoiseAtFullSize());

  private Facts() {}

  /** All, in the order of the screens. */
  public static List<Fact> all() {
    return ALL;
  }

  /** Those that are there, by id. */
  public static Map<String, Double> of(Ground ground) {
    return of(ground, null);
  }

  /**
   * Some of them.
   *
   * @param ids of the facts that are wanted; null for all
   */
  public static Map<String, Double> of(Ground ground, Set<String> ids) {
    Map<String, Double> out = new LinkedHashMap<>();
    for (Fact fact : ALL) {
      if (ids == null || ids.contains(fact.id())) {
        fact.of(ground).ifPresent(v -> out.put(fact.id(), v));
      }
    }
    return out;
  }
}
