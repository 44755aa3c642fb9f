package org.nineveils.release.since;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;

/** What became of the dials of an effect, in words for whoever turned them before. */
final class DialWords {
  private DialWords() {}

  /**
   * A phrase a dial that is new, gone, or called or bounded otherwise; in the order of the card.
   */
  static List<String> of(Effect old, Effect now) {
    List<String> words = new ArrayList<>();
    for (Dial is : now.dials()) {
      Optional<Dial> was = find(old, is);
      if (was.isEmpty()) {
        words.add("a new dial, “%s”".formatted(is.label()));
        continue;
      }
      if (!was.get().label().equals(is.label())) {
        words.add("the dial “%s” is called “%s” now".formatted(was.get().label(), is.label()));
      }
      if (was.get().min() != is.min() || was.get().max() != is.max()) {
        words.add(
            "the dial “%s” runs from %s to %s instead of %s to %s"
                .formatted(
                    is.label(),
                    said(is.min()),
                    said(is.max()),
                    said(was.get().min()),
                    said(was.get().max())));
      }
    }
    for (Dial was : old.dials()) {
      if (find(now, was).isEmpty()) {
        words.add("without the dial “%s”".formatted(was.label()));
      }
    }
    return words.isEmpty() ? List.of("its dials stand in another order") : words;
  }

  private static Optional<Dial> find(Effect in, Dial like) {
    return in.dials().stream()
        .filter(d -> d.veil().equals(like.veil()) && d.key().equals(like.key()))
        .findFirst();
  }

  private static String said(double value) {
    return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
  }
}
