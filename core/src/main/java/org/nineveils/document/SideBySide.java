package org.nineveils.document;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** What differs between two effects that need not come from one another, in words. */
public final class SideBySide {
  private SideBySide() {}

  /**
   * Compares two effects. Veils are matched by id, and else by kind in the order in which they
   * hang.
   *
   * @return a line for each difference, such as “Warmer: opacity 60 % → 55 %”; empty where their
   *     veils are equal
   */
  public static List<String> of(Effect one, Effect two) {
    Map<String, String> ids = matched(one, two);
    List<Veil> renamed = new ArrayList<>();
    for (Veil veil : two.veils()) {
      renamed.add(veil.withId(ids.get(veil.id())).withMask(veil.mask().following(ids)));
    }
    Effect other =
        new Effect(renamed, one.note(), two.edition(), List.of(), two.start(), two.madeFor());
    Effect own =
        new Effect(one.veils(), one.note(), one.edition(), List.of(), one.start(), one.madeFor());
    return EffectDifferences.between(own, other).stream().map(SideBySide::line).toList();
  }

  private static String line(EffectDifferences.Difference d) {
    if (d.field().equals("veil")) {
      return "“%s” hangs only in the %s"
          .formatted(d.name(), d.value() == null ? "second" : "first");
    }
    String what =
        d.label().substring(0, 1).toLowerCase(java.util.Locale.ROOT) + d.label().substring(1);
    return "%s: %s %s → %s".formatted(d.name(), what, d.theirs(), d.ours());
  }

  private static Map<String, String> matched(Effect one, Effect two) {
    Map<String, String> ids = new LinkedHashMap<>();
    List<Veil> left = new ArrayList<>(one.veils());
    for (Veil veil : two.veils()) {
      one.veil(veil.id())
          .filter(v -> v.kind() == veil.kind())
          .ifPresent(
              v -> {
                ids.put(veil.id(), v.id());
                left.remove(v);
              });
    }
    int own = 0;
    for (Veil veil : two.veils()) {
      if (!ids.containsKey(veil.id())) {
        Optional<Veil> same = left.stream().filter(v -> v.kind() == veil.kind()).findFirst();
        same.ifPresent(left::remove);
        ids.put(veil.id(), same.map(Veil::id).orElse("second " + ++own));
      }
    }
    return ids;
  }
}
