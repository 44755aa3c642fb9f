package org.nineveils.proof;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Reading;

/**
 * What a limit says of a reading.
 *
 * @param measure what was measured
 * @param reading what it gave
 * @param limit bound that it was held to
 * @param accepted why it may be over, as the maker wrote it; empty where she did not
 */
public record Verdict(Measure measure, Reading reading, double limit, String accepted) {
  /** Share of the way to the limit from which a reading is near it. */
  public static final double NEAR_FROM = 0.8;

  /** How it stands, from the least to the worst. */
  public enum State {
    NOT_JUDGED("not judged"),
    WITHIN("within"),
    NEAR("near"),
    ACCEPTED("over, accepted"),
    OVER("over");

    private final String word;

    State(String word) {
      this.word = word;
    }

    /** On screens and in files. */
    public String word() {
      return word;
    }
  }

  /** How far it went: 0 untouched, 1 at the limit. */
  public double share() {
    if (!reading.isJudged()) {
      return 0;
    }
    double untouched = measure.bad() == Measure.Bad.MORE ? 0 : 100;
    double way = limit - untouched;
    double gone = reading.value() - untouched;
    return way == 0 ? (gone < 0 ? Double.POSITIVE_INFINITY : 0) : Math.max(0, gone / way);
  }

  /** Within up to {@link #NEAR_FROM} of the way, over beyond all of it. */
  public State state() {
    if (!reading.isJudged()) {
      return State.NOT_JUDGED;
    }
    if (share() > 1) {
      return accepted.isEmpty() ? State.OVER : State.ACCEPTED;
    }
    return share() >= NEAR_FROM ? State.NEAR : State.WITHIN;
  }

  /** The one that matters most: the worst state, and within it the farthest gone. */
  public static Optional<Verdict> worst(List<Verdict> verdicts) {
    return verdicts.stream()
        .max(Comparator.comparing(Verdict::state).thenComparingDouble(Verdict::share));
  }
}
