package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.nineveils.kit.Offer;
import org.nineveils.kit.Scale;
import org.nineveils.veil.Effect;

/** What a wardrobe offers as the page of a fitting shows it. */
final class Shown {
  private Shown() {}

  /**
   * A section with its effects.
   *
   * @param scales of effects that are steps of one thing
   * @param pieces all others
   * @param older keys of those that were made with an older edition of the engine
   */
  record Section(
      int number,
      String name,
      String rule,
      List<Steps> scales,
      List<Wardrobe.Piece> pieces,
      Set<String> older) {}

  /** Effects as steps of one thing, from the least to the most. */
  record Steps(String label, String of, List<Step> steps) {}

  /** One step; words are its value. */
  record Step(Wardrobe.Piece piece, String words) {}

  /** The sections in order. */
  static List<Section> sections(Wardrobe wardrobe) {
    Function<String, Effect> effects = wardrobe.effects();
    return wardrobe.pieces().stream()
        .collect(Collectors.groupingBy(p -> p.offer().section(), TreeMap::new, Collectors.toList()))
        .values()
        .stream()
        .map(pieces -> section(pieces, effects))
        .toList();
  }

  private static Section section(List<Wardrobe.Piece> pieces, Function<String, Effect> effects) {
    Map<String, Wardrobe.Piece> byKey =
        pieces.stream().collect(Collectors.toMap(p -> p.offer().key(), p -> p));
    List<String> keys = pieces.stream().map(p -> p.offer().key()).toList();
    List<Steps> scales = new ArrayList<>();
    Set<String> taken = new HashSet<>();
    for (Scale scale : Scale.among(keys, effects)) {
      List<Step> steps =
          scale.steps().stream().map(s -> new Step(byKey.get(s.key()), s.words())).toList();
      scales.add(new Steps(scale.of().label(), scale.of().name(), steps));
      scale.steps().forEach(s -> taken.add(s.key()));
    }
    List<Wardrobe.Piece> rest =
        pieces.stream().filter(p -> !taken.contains(p.offer().key())).toList();
    Offer first = pieces.get(0).offer();
    Set<String> older =
        keys.stream()
            .filter(key -> effects.apply(key) != null && effects.apply(key).isOlder())
            .collect(Collectors.toSet());
    return new Section(
        first.section(), first.sectionName(), first.rule().label(), scales, rest, older);
  }
}
