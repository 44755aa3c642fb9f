package org.nineveils.proof;

import java.util.List;
import java.util.Optional;

/**
 * What is said of one proof as a whole.
 *
 * @param notJudged why none of it is judged, in words that follow “not judged:”; empty where it is
 * @param verdicts of all measures that are judged, in their order; none where nothing is
 */
public record Judgement(String notJudged, List<Verdict> verdicts) {
  public Judgement {
    verdicts = List.copyOf(verdicts);
  }

  /** A proof of which nothing is judged. */
  public static Judgement not(String why) {
    return new Judgement(why, List.of());
  }

  /** The verdict that matters most. */
  public Optional<Verdict> worst() {
    return Verdict.worst(verdicts);
  }

  /** How the proof stands as a whole. */
  public Verdict.State state() {
    return worst().map(Verdict::state).orElse(Verdict.State.NOT_JUDGED);
  }

  /** How far it went: 0 untouched or not judged, 1 at a limit; what is accepted does not count. */
  public double share() {
    return verdicts.stream()
        .filter(v -> v.state() != Verdict.State.ACCEPTED)
        .mapToDouble(Verdict::share)
        .max()
        .orElse(0);
  }
}
