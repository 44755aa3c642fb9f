package org.nineveils.veil.curve;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Picture;
import org.nineveils.setting.CurvePoint;
import org.nineveils.testing.Pictures;

class CurveTest {
  private static MonotoneCubic curve(double... inOut) {
    List<CurvePoint> points = new ArrayList<>();
    for (int i = 0; i < inOut.length; i += 2) {
      points.add(new CurvePoint(inOut[i], inOut[i + 1]));
    }
    return new MonotoneCubic(points);
  }

  private static Picture through(Picture picture, Map<String, ?> settings) {
    return Pictures.through(picture, Pictures.veil("curve", settings));
  }

  @Test
  void passesThroughItsPoints() {
    MonotoneCubic c = curve(0, 0.1, 0.3, 0.2, 0.6, 0.8, 1, 0.9);
    assertThat(c.at(0)).isCloseTo(0.1, within(1e-12));
    assertThat(c.at(0.3)).isCloseTo(0.2, within(1e-12));
    assertThat(c.at(0.6)).isCloseTo(0.8, within(1e-12));
    assertThat(c.at(1)).isCloseTo(0.9, within(1e-12));
  }

  @Test
  void twoPointsAreAStraightLineAndLevelOutside() {
    MonotoneCubic c = curve(0.2, 0.1, 0.8, 0.7);
    assertThat(c.at(0.5)).isCloseTo(0.4, within(1e-12));
    assertThat(c.at(0)).isEqualTo(0.1);
    assertThat(c.at(1)).isEqualTo(0.7);
  }

  /** At the ends Steffen takes the parabola through three points: of a parabola, its own slope. */
  @Test
  void atItsEndsItHasTheSlopeOfTheParabolaThroughThreePoints() {
    MonotoneCubic c = curve(0.2, 0.04, 0.5, 0.25, 0.9, 0.81);
    double h = 1e-6;
    assertThat((c.at(0.2 + h) - c.at(0.2)) / h).isCloseTo(0.4, within(1e-4));
    assertThat((c.at(0.9) - c.at(0.9 - h)) / h).isCloseTo(1.8, within(1e-4));
  }

  /** Steffen 1990, abstract: no overshoot, extrema only at data points. */
  @Test
  void neverRunsPastTheTwoPointsItLiesBetween() {
    Random random = new Random(42);
    for (int round = 0; round < 300; round++) {
      double[] xy = new double[12];
      for (int i = 0; i < 6; i++) {
        xy[2 * i] = (i + 0.9 * random.nextDouble()) / 6;
        xy[2 * i + 1] = random.nextDouble();
      }
      MonotoneCubic c = curve(xy);
      for (int i = 0; i < 5; i++) {
        double low = Math.min(xy[2 * i + 1], xy[2 * i + 3]) - 1e-12;
        double high = Math.max(xy[2 * i + 1], xy[2 * i + 3]) + 1e-12;
        for (int k = 0; k <= 20; k++) {
          double u = xy[2 * i] + (xy[2 * i + 2] - xy[2 * i]) * k / 20;
          assertThat(c.at(u)).isBetween(low, high);
        }
      }
    }
  }

  @Test
  void hasNoKinkAtItsPoints() {
    MonotoneCubic c = curve(0, 0, 0.4, 0.3, 0.7, 0.8, 1, 1);
    for (double x : new double[] {0.4, 0.7}) {
      double before = (c.at(x) - c.at(x - 1e-6)) / 1e-6;
      double after = (c.at(x + 1e-6) - c.at(x)) / 1e-6;
      assertThat(after).isCloseTo(before, within(1e-3));
    }
  }

  @Test
  void risingPointsKeepTheOrderOfTones() {
    Picture out =
        through(
            Pictures.ramp(3001),
            Map.of(
                "all",
                List.of(List.of(0, 0), List.of(0.2, 0.35), List.of(0.8, 0.82), List.of(1, 1))));
    for (int i = 1; i < 3001; i++) {
      assertThat(out.r()[i]).isGreaterThanOrEqualTo(out.r()[i - 1]);
    }
  }

  @Test
  void aChannelsCurveLeavesTheOthersAlone() {
    Picture picture = Pictures.random(50, 5, 9);
    Picture out = through(picture, Map.of("blue", List.of(List.of(0, 0.1), List.of(1, 0.9))));
    assertThat(Pictures.farthest(new Picture(50, 5, out.r(), out.g(), picture.b()), picture))
        .isLessThan(1e-6);
    assertThat(out.b()).isNotEqualTo(picture.b());
  }

  /** A matte finish is an output range that does not start at black. */
  @Test
  void lowOutputLiftsBlackAndKeepsWhite() {
    Picture out = through(Pictures.ramp(3), Map.of("outBlack", 51));
    assertThat(out.r()).containsExactly(new float[] {0.2f, 0.6f, 1}, within(1e-6f));
  }

  /** Levels: out = low + (high − low) · ((in − black) / (white − black))^(1/gamma). */
  @Test
  void gammaBendsTheMiddleOnly() {
    Picture out = through(Pictures.ramp(3), Map.of("gamma", 2));
    assertThat((double) out.g()[1]).isCloseTo(Math.sqrt(0.5), within(1e-5));
    assertThat(out.g()[0]).isZero();
    assertThat(out.g()[2]).isEqualTo(1);
  }

  @Test
  void anEmptyInputRangeStaysFinite() {
    Picture out = through(Pictures.ramp(100), Map.of("inBlack", 200, "inWhite", 10));
    for (float v : out.r()) {
      assertThat(v).isBetween(0f, 1f);
    }
  }

  @Test
  void pointsOutOfOrderAreRefusedNamingThePoint() {
    assertThatThrownBy(
            () ->
                through(Pictures.ramp(2), Map.of("all", List.of(List.of(0.5, 0), List.of(0.4, 1)))))
        .hasMessageContaining("point 2")
        .hasMessageContaining("to the right");
    assertThatThrownBy(() -> through(Pictures.ramp(2), Map.of("red", List.of(List.of(0.5, 0)))))
        .hasMessageContaining("2 to 16 points");
  }

  @Test
  void levelsOfAChannelComeAfterThoseOfAllAndLeaveTheOthers() {
    Picture out = through(Pictures.ramp(3), Map.of("outBlack", 51, "blueOutWhite", 127.5));
    assertThat((double) out.r()[0]).isCloseTo(0.2, within(1e-5));
    assertThat((double) out.r()[2]).isCloseTo(1, within(1e-5));
    assertThat((double) out.b()[0]).isCloseTo(0.1, within(1e-5));
    assertThat((double) out.b()[2]).isCloseTo(0.5, within(1e-5));
  }
}
