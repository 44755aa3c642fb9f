package org.nineveils.kit;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.nineveils.setting.NumberSetting;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.nineveils.veil.crisp.Crisp;
import org.nineveils.veil.edge.Edge;
import org.nineveils.veil.soft.Soft;

/**
 * Effects that do not go together: one that makes crisp and one that makes soft, and two that shape
 * the edge of the picture. Common practice, no published source.
 */
public final class Opposites {
  private static final List<NumberSetting> CRISP_BY =
      List.of(Crisp.SHARP, Crisp.SMALL, Crisp.MEDIUM, Crisp.LARGE);
  private static final List<NumberSetting> SOFT_BY = List.of(Soft.BLUR, Soft.GLOW, Soft.HAZE);
  private static final List<NumberSetting> EDGE_BY = List.of(Edge.AMOUNT, Edge.FRAME);

  private Opposites() {}

  /**
   * What a new effect does not go with.
   *
   * @param question for the user
   * @param effects keys of the worn effects that it does not go with
   */
  public record Clash(String question, List<String> effects) {}

  /** What an effect does that another one may undo or do a second time. */
  public enum Leaning {
    CRISP("makes the picture crisp"),
    SOFT("makes the picture soft"),
    EDGE("works on the edge of the picture"),
    NONE("");

    private final String does;

    Leaning(String does) {
      this.does = does;
    }

    /**
     * What an effect leans to: what most of its veils do that are down and cover the picture
     * without a brush. Skin smoothing and noise reduction do not make a picture soft, and haze
     * removal does not make it crisp. None where it has none of the three, or as many crisp as soft
     * ones.
     */
    public static Leaning of(Effect effect) {
      long crisp = count(effect, CRISP_BY);
      long soft = count(effect, SOFT_BY);
      long edge = count(effect, EDGE_BY);
      if (edge > Math.max(crisp, soft)) {
        return EDGE;
      }
      return crisp == soft ? NONE : crisp > soft ? CRISP : SOFT;
    }

    private static long count(Effect effect, List<NumberSetting> by) {
      return effect.veils().stream()
          .filter(Leaning::acts)
          .filter(
              v ->
                  by.stream()
                      .filter(v.kind().settings()::contains)
                      .anyMatch(s -> Math.abs(v.settings().number(s)) > Math.abs(s.start())))
          .count();
    }

    private static boolean acts(Veil veil) {
      return !veil.lifted() && veil.opacity() > 0 && !veil.mask().startsHidden();
    }

    /** Whether two effects that lean so do not go together. */
    public boolean opposes(Leaning other) {
      return (this == CRISP && other == SOFT)
          || (this == SOFT && other == CRISP)
          || (this == EDGE && other == EDGE);
    }
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
                .formatted(offer.name(), own.does, other, others.does);
    return Optional.of(new Clash(question, clashing));
  }

  private static Leaning leaning(String key, Function<String, Effect> effects) {
    Effect effect = effects.apply(key);
    return effect == null ? Leaning.NONE : Leaning.of(effect);
  }
}
