package org.nineveils.release.since;

import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.name.Names;
import org.nineveils.release.Release;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * Which effects of two releases are the same: those of one kit and name, also where the kit got
 * another name; of those that are left, one with equal veils in the same kit was renamed.
 */
final class SameEffects {
  private SameEffects() {}

  /** An effect where it hangs. */
  record Placed(
      String kit, Release.KitPart in, Release.SectionPart section, Release.EffectPart part) {
    String where() {
      return "%s, %s".formatted(in.name(), section.name());
    }

    String key() {
      return kit + "\n" + Names.key(part.name());
    }
  }

  /**
   * An effect before and now.
   *
   * @param was null for a new one
   * @param own null for one that is gone
   */
  record Match(Placed was, Placed own) {}

  /** All of both, in the order of the present release, what is gone last. */
  static List<Match> of(Release old, Release now, Map<String, Release.KitPart> kits) {
    Map<String, Placed> before = placed(old, Map.of());
    Map<String, Placed> after = placed(now, kits);
    Map<String, Placed> left = new LinkedHashMap<>(before);
    left.keySet().removeAll(after.keySet());
    List<Match> out = new ArrayList<>();
    after.forEach(
        (key, own) -> {
          Placed was = before.get(key);
          if (was == null) {
            was = renamed(own, left.values()).orElse(null);
          }
          if (was != null) {
            left.remove(was.key());
          }
          out.add(new Match(was, own));
        });
    left.values().forEach(gone -> out.add(new Match(gone, null)));
    return out;
  }

  private static Map<String, Placed> placed(Release release, Map<String, Release.KitPart> renamed) {
    Map<String, Placed> out = new LinkedHashMap<>();
    for (Release.KitPart kit : release.kits()) {
      String called = Names.key(renamed.getOrDefault(kit.name(), kit).name());
      for (Release.SectionPart section : kit.sections()) {
        for (Release.EffectPart part : section.effects()) {
          Placed placed = new Placed(called, kit, section, part);
          out.put(placed.key(), placed);
        }
      }
    }
    return out;
  }

  private static Optional<Placed> renamed(Placed own, Collection<Placed> left) {
    return left.stream()
        .filter(p -> p.kit().equals(own.kit()))
        .filter(p -> lookAlike(p.part().effect(), own.part().effect()))
        .findFirst();
  }

  /** Whether two effects make the same picture of every photo that nobody painted on. */
  static boolean lookAlike(Effect one, Effect two) {
    return one.edition() == two.edition()
        && one.start() == two.start()
        && bare(one).equals(bare(two));
  }

  /** Veils without what does not show. */
  private static List<Veil> bare(Effect effect) {
    return effect.veils().stream()
        .map(
            v ->
                new Veil(
                    v.id(),
                    "veil",
                    v.kind(),
                    v.settings(),
                    v.blend(),
                    v.opacity(),
                    v.lifted(),
                    v.mask(),
                    ""))
        .toList();
  }
}
