package org.nineveils.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Effect;

/**
 * What one photo wears: effects of a kit, in the order of the kit's sections.
 *
 * @param worn effects, the one nearest to the plain photo first; no effect twice
 */
public record Fitting(List<Worn> worn) {
  /** Most effects worn at once. */
  public static final int MAX_WORN = 40;

  public Fitting {
    worn = List.copyOf(worn);
    if (worn.size() > MAX_WORN) {
      throw new IllegalArgumentException("A photo wears at most %d effects.".formatted(MAX_WORN));
    }
    if (worn.stream().map(Worn::effect).distinct().count() != worn.size()) {
      throw new IllegalArgumentException("A photo wears an effect only once.");
    }
  }

  /** A photo that wears nothing. */
  public static Fitting plain() {
    return new Fitting(List.of());
  }

  /**
   * A fitting after something was put on, and what happened in one sentence.
   *
   * @param fitting the new state
   * @param said for the user; empty where there was no consequence
   */
  public record Change(Fitting fitting, String said) {}

  /**
   * Puts an effect on. Its place comes from its section and position, never from the order of
   * clicks; in a section of one at a time it takes the place of what was worn from it.
   *
   * @param offer the effect
   * @param offers every effect of the kit by key
   */
  public Change wear(Offer offer, Map<String, Offer> offers) {
    if (worn.stream().anyMatch(w -> w.effect().equals(offer.key()))) {
      return new Change(this, "“%s” is already on.".formatted(offer.name()));
    }
    List<Worn> next = new ArrayList<>();
    String said = "";
    for (Worn w : worn) {
      Offer other = offers.get(w.effect());
      boolean gives =
          other != null
              && other.section() == offer.section()
              && offer.rule() == StackingRule.ONE_AT_A_TIME;
      if (gives) {
        said =
            "“%s” took the place of “%s”: section %d, %s, is worn one at a time."
                .formatted(offer.name(), other.name(), offer.section(), offer.sectionName());
      } else {
        next.add(w);
      }
    }
    next.add(Worn.fresh(offer.key()));
    next.sort(Comparator.comparing(w -> offers.get(w.effect()), byPlace()));
    return new Change(new Fitting(next), said);
  }

  /** Takes an effect off. */
  public Fitting without(String effect) {
    return new Fitting(worn.stream().filter(w -> !w.effect().equals(effect)).toList());
  }

  /**
   * The stack that is rendered; effects that no longer exist are left out.
   *
   * @param effects effect by key, or null where there is none
   */
  public Stack stack(Function<String, Effect> effects) {
    return new Stack(
        worn.stream()
            .map(
                w -> {
                  Effect effect = effects.apply(w.effect());
                  return effect == null ? null : w.bundle(effect);
                })
            .filter(Objects::nonNull)
            .toList());
  }

  private static Comparator<Offer> byPlace() {
    return Comparator.nullsLast(
        Comparator.comparingInt(Offer::section).thenComparingInt(Offer::position));
  }
}
