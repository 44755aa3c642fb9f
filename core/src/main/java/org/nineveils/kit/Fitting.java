package org.nineveils.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import org.nineveils.refusal.Refusal;
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
      throw new Refusal(String.format(Locale.ROOT, "A photo wears at most %d effects.", MAX_WORN));
    }
    if (worn.stream().map(Worn::effect).distinct().count() != worn.size()) {
      throw new Refusal("A photo wears an effect only once.");
    }
  }

  /** A photo that wears nothing. */
  public static Fitting plain() {
    return new Fitting(List.of());
  }

  /**
   * A fitting after something was put on, and what happened in one sentence.
   *
   * @param fitting the new state; unchanged where something is asked
   * @param said for the user; empty where there was no consequence
   * @param asks effects that the new one does not go with and that are on: the user decides whether
   *     it goes on with them or instead of them; empty where nothing is asked
   */
  public record Change(Fitting fitting, String said, List<String> asks) {
    Change(Fitting fitting, String said) {
      this(fitting, said, List.of());
    }
  }

  /** What the user answered where opposites ask. */
  public enum Answer {
    /** Not asked yet. */
    NONE,
    /** Both are worn. */
    BOTH,
    /** The new one is worn instead. */
    INSTEAD
  }

  /**
   * Puts an effect on. Its place comes from its section and position, never from the order of
   * clicks. Where its section is worn one at a time it takes the place of what was worn from it; a
   * black-and-white takes colour looks off, and the other way round; where its section asks,
   * nothing changes until the user has answered.
   *
   * @param offer the effect
   * @param offers every effect of the kit by key
   * @param effects effect by key, or null where there is none
   */
  public Change wear(
      Offer offer, Map<String, Offer> offers, Function<String, Effect> effects, Answer answer) {
    if (isWorn(offer.key())) {
      return new Change(this, "“%s” is already on.".formatted(offer.name()));
    }
    Optional<Opposites.Clash> clash = Opposites.find(offer, this, offers, effects);
    if (clash.isPresent() && answer == Answer.NONE) {
      return new Change(this, clash.get().question(), List.copyOf(clash.get().gives().keySet()));
    }
    boolean instead = answer == Answer.INSTEAD && clash.isPresent();
    List<Worn> next = new ArrayList<>();
    List<String> said = new ArrayList<>();
    for (Worn w : worn) {
      Optional<String> gives = gives(offer, offers.get(w.effect()));
      Set<String> makesWay = instead ? clash.get().gives().get(w.effect()) : null;
      if (gives.isPresent()) {
        said.add(gives.get());
      } else if (makesWay == null) {
        next.add(w);
      } else {
        String other = offers.get(w.effect()).name();
        said.add(insteadOf(offer.name(), makesWay, other, effects.apply(w.effect())));
        if (!makesWay.isEmpty()) {
          next.add(w.lifting(makesWay, effects.apply(w.effect())));
        }
      }
    }
    Effect own = effects.apply(offer.key());
    next.add(Worn.fresh(offer.key(), own == null ? 1 : own.start()));
    return new Change(inOrder(next, offers), String.join(" ", said));
  }

  private static String insteadOf(String name, Set<String> veils, String other, Effect effect) {
    if (veils.isEmpty()) {
      return "“%s” is worn instead of “%s”.".formatted(name, other);
    }
    String names =
        effect.veils().stream()
            .filter(v -> veils.contains(v.id()))
            .map(v -> "“" + v.name() + "”")
            .collect(Collectors.joining(" and "));
    return "“%s” is worn instead of %s in “%s”, which keeps its other veils."
        .formatted(name, names, other);
  }

  /** Why a worn effect makes way for a new one, as a sentence; empty where it stays. */
  private static Optional<String> gives(Offer offer, Offer other) {
    if (other == null) {
      return Optional.empty();
    }
    if (offer.rule().isOneAtATime() && other.section() == offer.section()) {
      return Optional.of(
          String.format(
              Locale.ROOT,
              "“%s” took the place of “%s”: section %d, %s, is worn one at a time.",
              offer.name(),
              other.name(),
              offer.section() % 100,
              offer.sectionName()));
    }
    boolean toned =
        (offer.rule() == StackingRule.BLACK_AND_WHITE && other.rule() == StackingRule.COLOUR_LOOK)
            || (offer.rule() == StackingRule.COLOUR_LOOK
                && other.rule() == StackingRule.BLACK_AND_WHITE);
    if (toned) {
      return Optional.of(
          "“%s” took off “%s”: a black-and-white never sits over a colour look."
              .formatted(offer.name(), other.name()));
    }
    return offer
        .against(other)
        .filter(a -> !a.asks())
        .map(
            a ->
                "“%s” took off “%s”: %s and %s are not worn together."
                    .formatted(
                        offer.name(), other.name(), offer.sectionName(), other.sectionName()));
  }

  /**
   * Puts on every effect of a section that is not on yet, at its start opacity, to pick from.
   *
   * @param lifted all lifted, to let down one by one; otherwise all hidden, to be brushed on
   */
  public Change wearAll(
      int section, boolean lifted, Map<String, Offer> offers, Function<String, Effect> effects) {
    List<Worn> next = new ArrayList<>(worn);
    for (Offer offer : offers.values()) {
      if (offer.section() == section && !isWorn(offer.key())) {
        Effect own = effects.apply(offer.key());
        double start = own == null ? 1 : own.start();
        next.add(new Worn(offer.key(), start, lifted, Map.of(), Map.of(), !lifted));
      }
    }
    int added = next.size() - worn.size();
    String how = lifted ? "lifted: let down the ones you want" : "hidden: pick one and brush it on";
    return new Change(
        inOrder(next, offers),
        added == 0
            ? "Every effect of the section is on already."
            : String.format(
                Locale.ROOT, "%d %s went on, %s.", added, added == 1 ? "effect" : "effects", how));
  }

  private boolean isWorn(String key) {
    return find(key).isPresent();
  }

  /** An effect as it is worn; empty where it is not. */
  public Optional<Worn> find(String key) {
    return worn.stream().filter(w -> w.effect().equals(key)).findFirst();
  }

  /** The same without paint. */
  public Fitting unpainted() {
    return new Fitting(worn.stream().map(Worn::unpainted).toList());
  }

  /** The same with one of its effects worn in that way instead. */
  public Fitting with(Worn otherwise) {
    return new Fitting(
        worn.stream().map(w -> w.effect().equals(otherwise.effect()) ? otherwise : w).toList());
  }

  /** Effects in the order of their sections. */
  static Fitting inOrder(List<Worn> worn, Map<String, Offer> offers) {
    worn.sort(Comparator.comparing(w -> offers.get(w.effect()), byPlace()));
    return new Fitting(worn);
  }

  /** Takes an effect off. */
  public Fitting without(String effect) {
    return new Fitting(worn.stream().filter(w -> !w.effect().equals(effect)).toList());
  }

  /** Takes off whatever is worn of a section. */
  public Fitting withoutSection(int section, Map<String, Offer> offers) {
    return new Fitting(
        worn.stream()
            .filter(
                w -> offers.get(w.effect()) == null || offers.get(w.effect()).section() != section)
            .toList());
  }

  /**
   * Whatever is worn of a section as it was when it went on: at its start opacity, nothing lowered,
   * turned or painted.
   *
   * @param effects effect by key, or null where there is none
   */
  public Fitting withSectionFresh(
      int section, Map<String, Offer> offers, Function<String, Effect> effects) {
    return new Fitting(
        worn.stream()
            .map(
                w -> {
                  Offer offer = offers.get(w.effect());
                  Effect effect = effects.apply(w.effect());
                  return offer == null || offer.section() != section || effect == null
                      ? w
                      : Worn.fresh(w.effect(), effect.start());
                })
            .toList());
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

  /**
   * The same where effects go by other keys; of two that come to go by one, the first stays.
   *
   * @param key the new key of each
   */
  public Fitting keyed(UnaryOperator<String> key) {
    Map<String, Worn> out = new LinkedHashMap<>();
    worn.forEach(w -> out.putIfAbsent(key.apply(w.effect()), w.as(key.apply(w.effect()))));
    return new Fitting(List.copyOf(out.values()));
  }

  private static Comparator<Offer> byPlace() {
    return Comparator.nullsLast(
        Comparator.comparingInt(Offer::section).thenComparingInt(Offer::position));
  }
}
