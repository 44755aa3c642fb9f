package org.nineveils.proof;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.nineveils.proof.Trace.Respect;
import org.nineveils.proof.Trace.Step;

/** Says of a trace which veil did most, and in which direction: the ranked sentence. */
public final class Culprits {
  /** Less than this, in units of L*a*b*, is not worth a word: about what a trained eye can see. */
  public static final double LEAST = 1;

  /** Most directions named. */
  private static final int MOST = 3;

  private Culprits() {}

  private record Direction(Step step, double by, String did, String unit) {}

  /**
   * Sentences, the strongest change first; one saying so where no veil changed the spot.
   *
   * @return 1 to 3 sentences
   */
  public static List<String> of(Trace trace) {
    List<Direction> all = new ArrayList<>();
    for (Respect respect : Respect.values()) {
      add(all, trace, respect, 1);
      add(all, trace, respect, -1);
    }
    List<String> said =
        all.stream()
            .sorted(Comparator.comparingDouble(d -> -Math.abs(d.by())))
            .limit(MOST)
            .map(
                d ->
                    String.format(
                            Locale.ROOT,
                            "“%s” %s, by %+.1f %s.",
                            d.step().name(),
                            d.did(),
                            d.by(),
                            d.unit())
                        .replace("by -", "by −"))
            .toList();
    return said.isEmpty()
        ? List.of("No veil changes this spot by more than 1 in any respect.")
        : said;
  }

  /** The veil that moved the spot farthest one way, if that is worth a word. */
  private static void add(List<Direction> all, Trace trace, Respect respect, int sign) {
    trace.steps().stream()
        .max(Comparator.comparingDouble(s -> sign * s.added(respect)))
        .filter(s -> sign * s.added(respect) >= LEAST)
        .ifPresent(
            s ->
                all.add(
                    new Direction(s, s.added(respect), respect.most(sign > 0), respect.unit())));
  }
}
