package org.nineveils.kit;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Following;
import org.nineveils.veil.Leaning;

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
   * @param effects keys of the worn effects that it does not go with
   */
  public record Clash(String question, List<String> effects) {}

  /**
   * What an effect leans to: what most of its veils do that are down and cover the picture without
   * a brush. None where it has none of the three, or as many crisp as soft ones.
   */
  public static Leaning leaning(Effect effect) {
    Map<Leaning, Long> counts =
        effect.veils().stream()
            .filter(v -> !v.lifted() && v.opacity() > 0)
            .filter(v -> !Following.mask(v, effect.veils()).startsHidden())
            .map(v -> v.kind().leaning(v.settings()))
            .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
    long crisp = counts.getOrDefault(Leaning.CRISP, 0L);
    long soft = counts.getOrDefault(Leaning.SOFT, 0L);
    if (counts.getOrDefault(Leaning.EDGE, 0L) > Math.max(crisp, soft)) {
      return Leaning.EDGE;
    }
    return crisp == soft ? Leaning.NONE : crisp > soft ? Leaning.CRISP : Leaning.SOFT;
  }

  /** The effects worn that a new one does not go with. */
  static Optional<Clash> find(
      Offer offer, Fitting fitting, Map<String, Offer> offers, Function<String, Effect> effects) {
    Leaning own = leaning(offer.key(), effects);
    List<String> clashing =
        fitting.worn().stream()
            .filter(w -> !w.lifted() && offers.containsKey(w.effect()))
            .map(Worn::effect)
            .filter(key -> own.opposes(leaning(key, effects)))
            .toList();
    if (clashing.isEmpty()) {
      return Optional.empty();
    }
    String other = offers.get(clashing.get(0)).name();
    Leaning others = leaning(clashing.get(0), effects);
    String question =
        own == Leaning.EDGE
            ? "“%s” and “%s”, which is on, both work on the edge of the picture."
                .formatted(offer.name(), other)
            : "“%s” %s, and “%s”, which is on, %s."
                .formatted(offer.name(), own.does(), other, others.does());
    return Optional.of(new Clash(question, clashing));
  }

  private static Leaning leaning(String key, Function<String, Effect> effects) {
    Effect effect = effects.apply(key);
    return effect == null ? Leaning.NONE : leaning(effect);
  }
}
