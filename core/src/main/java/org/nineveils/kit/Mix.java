package org.nineveils.kit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import org.nineveils.kit.Worn.VeilChange;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Turnable;
import org.nineveils.veil.Veil;

/**
 * One fitting between two: still effects with opacities and dials, never a picture laid over
 * another.
 *
 * <p>Opacities, of effects and of veils, and dials lie between those of the two in a straight line;
 * what one of them does not wear, or has lifted, counts as opacity 0 there. What cannot be halved,
 * as masks, paint and veils that hang twice, is that of the nearer one.
 */
public final class Mix {
  private final double share;
  private final Function<String, Effect> effects;

  private Mix(double share, Function<String, Effect> effects) {
    this.share = share;
    this.effects = effects;
  }

  /**
   * The fitting between two.
   *
   * @param share of the second one, 0…1; at 0 it is the first and at 1 the second, as they are
   * @param offers every effect by key, for the order
   * @param effects effect by key, or null where there is none
   * @throws Refusal with a sentence if the share is out of range, or both together are more than
   *     {@link Fitting#MAX_WORN} effects
   */
  public static Fitting of(
      Fitting first,
      Fitting second,
      double share,
      Map<String, Offer> offers,
      Function<String, Effect> effects) {
    if (!(share >= 0 && share <= 1)) {
      throw new Refusal("The share of a mix lies between 0 and 1, but was %s.".formatted(share));
    }
    if (share == 0 || share == 1) {
      return share == 0 ? first : second;
    }
    return new Mix(share, effects).of(first, second, offers);
  }

  private Fitting of(Fitting first, Fitting second, Map<String, Offer> offers) {
    Set<String> keys = new LinkedHashSet<>();
    first.worn().forEach(w -> keys.add(w.effect()));
    second.worn().forEach(w -> keys.add(w.effect()));
    List<Worn> mixed = new ArrayList<>();
    for (String key : keys) {
      mixed.add(worn(first.find(key), second.find(key)));
    }
    return Fitting.inOrder(mixed, offers);
  }

  /** An effect that at least one of them wears. */
  private Worn worn(Optional<Worn> first, Optional<Worn> second) {
    if (second.isEmpty()) {
      return first.orElseThrow().eased(1 - share);
    }
    if (first.isEmpty()) {
      return second.get().eased(share);
    }
    Worn a = first.get();
    Worn b = second.get();
    Worn nearer = share < 0.5 ? a : b;
    return new Worn(
        nearer.effect(),
        opacity(a.opacity(), a.lifted(), b.opacity(), b.lifted()),
        a.lifted() && b.lifted(),
        changes(a, b, effects.apply(nearer.effect())),
        nearer.paint(),
        nearer.byBrush(),
        nearer.masks());
  }

  private Map<String, VeilChange> changes(Worn a, Worn b, Effect of) {
    Map<String, VeilChange> out = new LinkedHashMap<>();
    if (of == null) {
      return (share < 0.5 ? a : b).changes();
    }
    for (Veil veil : of.veils()) {
      VeilChange from = a.changes().get(veil.id());
      VeilChange to = b.changes().get(veil.id());
      if (from != null || to != null) {
        VeilChange own = new VeilChange(veil.opacity(), veil.lifted());
        out.put(veil.id(), change(veil, from == null ? own : from, to == null ? own : to));
      }
    }
    return out;
  }

  private VeilChange change(Veil veil, VeilChange a, VeilChange b) {
    Set<String> turned = new LinkedHashSet<>(a.dials().keySet());
    turned.addAll(b.dials().keySet());
    Map<String, Double> dials = new LinkedHashMap<>();
    for (String key : turned) {
      Turnable.of(veil, key)
          .ifPresent(
              own ->
                  dials.put(
                      key,
                      between(
                          a.dials().getOrDefault(key, own.value()),
                          b.dials().getOrDefault(key, own.value()))));
    }
    return new VeilChange(
        opacity(a.opacity(), a.lifted(), b.opacity(), b.lifted()),
        a.lifted() && b.lifted(),
        dials,
        (share < 0.5 ? a : b).doubled());
  }

  /** Where both are lifted, what they would be let down to; otherwise lifted counts as 0. */
  private double opacity(double a, boolean aLifted, double b, boolean bLifted) {
    boolean both = aLifted && bLifted;
    return between(aLifted && !both ? 0 : a, bLifted && !both ? 0 : b);
  }

  private double between(double a, double b) {
    return a + (b - a) * share;
  }
}
