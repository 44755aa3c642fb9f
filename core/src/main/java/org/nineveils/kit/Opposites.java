package org.nineveils.kit;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Following;
import org.nineveils.veil.Leaning;
import org.nineveils.veil.Veil;

/**
 * Effects that do not go together: one that makes crisp and one that makes soft, and two that shape
 * the edge of the picture. Common practice, no published source.
 */
public final class Opposites {
  private Opposites() {}

  /**
   * What a new effect does not go with.
   *
   * @param question for the user
   * @param gives what would make way, by key of a worn effect: ids of its veils; none of them where
   *     the whole effect would
   */
  public record Clash(String question, Map<String, Set<String>> gives) {}

  /**
   * What an effect leans to: what most of its veils do that are down and cover the picture without
   * a brush. None where it has none of the three, or as many crisp as soft ones.
   */
  public static Leaning leaning(Effect effect) {
    return leaning(effect.veils());
  }

  private static Leaning leaning(List<Veil> veils) {
    Map<Leaning, Long> counts =
        seen(veils)
            .map(v -> v.kind().leaning(v.settings()))
            .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
    long crisp = counts.getOrDefault(Leaning.CRISP, 0L);
    long soft = counts.getOrDefault(Leaning.SOFT, 0L);
    if (counts.getOrDefault(Leaning.EDGE, 0L) > Math.max(crisp, soft)) {
      return Leaning.EDGE;
    }
    return crisp == soft ? Leaning.NONE : crisp > soft ? Leaning.CRISP : Leaning.SOFT;
  }

  /** Veils that are down and cover the picture without a brush. */
  private static Stream<Veil> seen(List<Veil> veils) {
    return veils.stream()
        .filter(v -> !v.lifted() && v.opacity() > 0)
        .filter(v -> !Following.mask(v, veils).startsHidden());
  }

  /**
   * The effects worn that a new one does not go with, as this fitting has them. Where its section
   * asks: whole ones that lean the other way, and vignettes and frames inside a look, of which only
   * those veils would go. And those of sections that the maker set against its own.
   */
  static Optional<Clash> find(
      Offer offer, Fitting fitting, Map<String, Offer> offers, Function<String, Effect> effects) {
    Optional<Clash> leaning =
        offer.rule() == StackingRule.OPPOSITES_ASK
            ? byLeaning(offer, fitting, offers, effects)
            : Optional.empty();
    Map<String, Set<String>> gives = new LinkedHashMap<>();
    leaning.ifPresent(clash -> gives.putAll(clash.gives()));
    String question = leaning.map(Clash::question).orElse("");
    for (Worn worn : fitting.worn()) {
      Offer other = offers.get(worn.effect());
      boolean asks = other != null && offer.against(other).filter(Against::asks).isPresent();
      if (asks && !worn.lifted()) {
        gives.put(worn.effect(), Set.of());
        question = question.isEmpty() ? asked(offer, other) : question;
      }
    }
    return gives.isEmpty() ? Optional.empty() : Optional.of(new Clash(question, gives));
  }

  private static String asked(Offer offer, Offer other) {
    return "“%s” and “%s”, which is on: %s and %s are opposites in this kit."
        .formatted(offer.name(), other.name(), offer.sectionName(), other.sectionName());
  }

  private static Optional<Clash> byLeaning(
      Offer offer, Fitting fitting, Map<String, Offer> offers, Function<String, Effect> effects) {
    Effect effect = effects.apply(offer.key());
    Leaning own = effect == null ? Leaning.NONE : leaning(effect);
    Map<String, Set<String>> gives = new LinkedHashMap<>();
    String question = "";
    for (Worn worn : fitting.worn()) {
      Effect other = effects.apply(worn.effect());
      if (worn.lifted() || other == null || !offers.containsKey(worn.effect())) {
        continue;
      }
      List<Veil> veils = other.veils().stream().map(v -> worn.changed(v, other)).toList();
      Leaning leans = leaning(veils);
      List<Veil> edges = own == Leaning.EDGE ? edges(veils) : List.of();
      if (!own.opposes(leans) && edges.isEmpty()) {
        continue;
      }
      String name = "“%s”".formatted(offers.get(worn.effect()).name());
      if (edges.isEmpty() || edges.size() == seen(veils).count()) {
        gives.put(worn.effect(), Set.of());
      } else {
        gives.put(worn.effect(), edges.stream().map(Veil::id).collect(Collectors.toSet()));
        name = "“%s” in %s".formatted(edges.get(0).name(), name);
      }
      question = question.isEmpty() ? asked(offer.name(), own, name, leans) : question;
    }
    return gives.isEmpty() ? Optional.empty() : Optional.of(new Clash(question, gives));
  }

  private static List<Veil> edges(List<Veil> veils) {
    return seen(veils).filter(v -> v.kind().leaning(v.settings()) == Leaning.EDGE).toList();
  }

  private static String asked(String name, Leaning own, String other, Leaning others) {
    return own == Leaning.EDGE
        ? "“%s” and %s, which is on, both work on the edge of the picture.".formatted(name, other)
        : "“%s” %s, and %s, which is on, %s.".formatted(name, own.does(), other, others.does());
  }
}
