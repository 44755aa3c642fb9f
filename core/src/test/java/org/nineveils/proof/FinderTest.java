package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import org.apache.commons.math3.analysis.solvers.BisectionSolver;
import org.junit.jupiter.api.Test;

class FinderTest {
  /** A share that rises with the square of opacity and is at the limit at √0.5. */
  private static double rising(double at) {
    return 2 * at * at;
  }

  @Test
  void theFarthestValueIsFoundToItsPrecisionFromBelow() {
    double limit = new BisectionSolver(1e-9).solve(100, at -> rising(at) - 1, 0, 1);
    Finder found = Finder.between(0, 1, 10, 0.01, 1, at -> List.of(rising(at)));
    assertThat(found.at()).isCloseTo(limit, within(0.01)).isLessThanOrEqualTo(limit);
    assertThat(found.curve()).hasSize(11);
    assertThat(found.curve().get(10).worst()).isEqualTo(2);
  }

  @Test
  void whatIsWithinEverywhereGoesAllTheWayAndWhatNeverIsStaysWhereItBegan() {
    assertThat(Finder.between(0, 1, 4, 0.01, 1, at -> List.of(at * 0.9)).at()).isEqualTo(1);
    assertThat(Finder.between(0, 1, 4, 0.01, 1, at -> List.of(at > 0 ? 9.0 : 0)).at())
        .isBetween(0.0, 0.01);
    // Downwards, as an amount of which the least that suffices is looked for.
    assertThat(Finder.between(100, 0, 5, 1, 1, at -> List.of((100 - at) / 60)).at()).isEqualTo(40);
  }

  /** Beyond the first that is over nothing counts, even where it comes back. */
  @Test
  void allValuesBeforeItAreWithinToo() {
    List<Double> asked = new ArrayList<>();
    Finder found =
        Finder.between(
            0,
            1,
            10,
            0.01,
            1,
            at -> {
              asked.add(at);
              return List.of(at > 0.32 && at < 0.58 ? 3.0 : 0.5);
            });
    assertThat(found.at()).isEqualTo(0.32);
    assertThat(asked).allMatch(at -> at >= 0 && at <= 1);
  }

  @Test
  void ofAStatedShareOfThePhotosTheOthersMayBeOver() {
    List<Finder> each = new ArrayList<>();
    for (double slope : new double[] {1, 2, 4, 8}) {
      each.add(Finder.between(0, 1, 4, 0.01, 1, at -> List.of(at * slope)));
    }
    assertThat(Finder.together(each, 1).at()).isEqualTo(0.12);
    assertThat(Finder.together(each, 0.75).at()).isEqualTo(0.25);
    assertThat(Finder.together(each, 0.5).at()).isEqualTo(0.5);
    Finder.Point last = Finder.together(each, 1).curve().get(4);
    assertThat(last.worst()).isEqualTo(8);
    assertThat(last.within()).isEqualTo(1);
    assertThat(last.holds(0.25)).isTrue();
    assertThat(last.holds(0.26)).isFalse();
  }

  @Test
  void ofARowOfValuesTheUnbrokenPartAboutTheOneThatIsThereHolds() {
    List<Double> values = List.of(-2.0, -1.0, 0.0, 1.0, 2.0);
    Range range = Range.holding(values, 0.2, i -> i != 0 && i != 4);
    assertThat(range).isEqualTo(new Range(-1, 1, true));
    assertThat(Range.holding(values, 1.9, i -> i != 3)).isEqualTo(new Range(2, 2, true));
    assertThat(Range.holding(values, 0, i -> i != 2).isAny()).isFalse();
  }
}
