package org.nineveils.kit;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Rule;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Editions;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Following;
import org.nineveils.veil.Veil;

/**
 * An effect kept from a fitting.
 *
 * @param effect veils of the parts that were ticked, in the order in which they are worn
 * @param said what became different on the way, one sentence each
 */
public record Combination(Effect effect, List<String> said) {

  /**
   * A worn effect of which something goes in.
   *
   * @param effect its key
   * @param veils ids of the veils that go in
   * @param asWorn with what the fitting changed: opacities, lifted veils, dials; otherwise as the
   *     effect was made
   */
  public record Pick(String effect, Set<String> veils, boolean asWorn) {}

  /**
   * Makes an effect of what is worn. Paint belongs to the photo and is left out: a veil that was
   * painted is brushed on afresh, or keeps its rule where it has one. The opacity of a worn effect
   * goes into its veils, which is exact where one veil goes in.
   *
   * @param picks in any order; what is not worn is let be
   * @param effects effect by key, or null where there is none
   * @param note of the new effect
   * @throws Refusal with a sentence if nothing was ticked, or too many veils
   */
  public static Combination of(
      Fitting fitting, List<Pick> picks, Function<String, Effect> effects, String note) {
    Making making = new Making();
    for (Worn worn : fitting.worn()) {
      Effect effect = effects.apply(worn.effect());
      for (Pick pick : picks) {
        if (effect != null && pick.effect().equals(worn.effect())) {
          making.add(worn, effect, pick);
        }
      }
    }
    if (making.veils.isEmpty()) {
      throw new Refusal("Tick at least one veil that goes into the effect.");
    }
    Effect made = new Effect(making.veils, note, Editions.current(), making.dials);
    return new Combination(made, making.said);
  }

  private static final class Making {
    final List<Veil> veils = new ArrayList<>();
    final List<Dial> dials = new ArrayList<>();
    final List<String> said = new ArrayList<>();

    void add(Worn worn, Effect effect, Pick pick) {
      double share = pick.asWorn() ? worn.opacity() : effect.start();
      boolean shared = share < 1 && pick.veils().size() > 1;
      boolean first = true;
      List<Veil> picked =
          effect.veils().stream().filter(veil -> pick.veils().contains(veil.id())).toList();
      Map<String, String> ids = new LinkedHashMap<>();
      int number = veils.size();
      for (Veil veil : picked) {
        ids.put(veil.id(), "k" + ++number);
        number += twice(worn, pick, veil) ? 1 : 0;
      }
      whole(worn);
      for (Veil veil : picked) {
        String id = ids.get(veil.id());
        Veil own =
            pick.asWorn() ? asWorn(worn, effect, veil) : veil.withOpacity(veil.opacity() * share);
        Veil made = unpainted(following(own, effect, ids), worn).withId(id);
        veils.add(made);
        if (twice(worn, pick, veil)) {
          veils.add(Worn.again(made, "k" + (veils.size() + 1)));
        }
        for (Dial dial : effect.dials()) {
          if (dial.veil().equals(veil.id())
              && dials.size() < Effect.MAX_DIALS
              && dial.reaches(veil, made)) {
            dials.add(dial.of(id));
          }
        }
        if (shared && first) {
          said.add(
              String.format(
                  Locale.ROOT,
                  "An effect goes in at %d %%: its veils have that opacity each, which can look a little different.",
                  Math.round(share * 100)));
          first = false;
        }
      }
    }

    private static boolean twice(Worn worn, Pick pick, Veil veil) {
      return pick.asWorn() && worn.isDoubled(veil.id());
    }

    private static Veil asWorn(Worn worn, Effect effect, Veil veil) {
      Veil changed = worn.changed(veil, effect);
      return changed
          .withOpacity(changed.opacity() * worn.opacity())
          .withLifted(changed.lifted() || worn.lifted());
    }

    /** Says what of the effect as a whole is left out. */
    private void whole(Worn worn) {
      if (!worn.byBrush()
          && (worn.paint().containsKey(Worn.WHOLE) || worn.masks().containsKey(Worn.WHOLE))) {
        said.add("What an effect was brushed off or kept off as a whole is left out.");
      }
    }

    /** A veil that covers as one that comes along, or else with the mask of that one. */
    private static Veil following(Veil veil, Effect effect, Map<String, String> ids) {
      if (!veil.mask().follows()) {
        return veil;
      }
      String as = ids.get(veil.mask().as());
      return veil.withMask(as == null ? Following.mask(veil, effect.veils()) : Mask.as(as));
    }

    private Veil unpainted(Veil veil, Worn worn) {
      Mask old = veil.mask();
      boolean hidden = worn.whole().startsHidden();
      if (old.follows() || (!hidden && !worn.paint().containsKey(veil.id()))) {
        return veil;
      }
      if (!hidden && old.cover() != Cover.BRUSH_ON) {
        String keeps = old.cover() == Cover.BY_RULE ? "keeps its rule" : "covers everything";
        said.add(
            "“%s” %s; what was painted over it belongs to this photo and is left out."
                .formatted(veil.name(), keeps));
        return veil;
      }
      said.add(
          "“%s” is brush-on: what was painted belongs to this photo and is left out."
              .formatted(veil.name()));
      List<Rule> rules = old.cover() == Cover.BRUSH_ON ? old.rules() : List.of();
      return veil.withMask(new Mask(Cover.BRUSH_ON, rules, old.grow(), old.soften()));
    }
  }
}
