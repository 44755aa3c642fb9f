package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.picture.Picture;
import org.nineveils.proof.measure.Plain;
import org.nineveils.proof.measure.Samples;
import org.nineveils.testing.Pictures;

class LikenessTest {
  private static final int W = 120;
  private static final int H = 80;
  private static final OnRegions EVERYWHERE = new OnRegions(Map.of(), Set.of(), true);

  private static OnRegions on(String... regions) {
    return new OnRegions(Map.of(), Set.of(regions), false);
  }

  /** Lips are four columns of a hundred and twenty. */
  private static Plain plain() {
    float[] lips = new float[W * H];
    for (int i = 0; i < lips.length; i++) {
      lips[i] = i % W < 4 ? 1 : 0;
    }
    return new Plain(Pictures.flat(W, H, 0.5, 0.4, 0.35), Map.of("lips", lips));
  }

  /** The plain photo, redder in its first columns. */
  private static Likeness.Look look(int columns, float red, OnRegions on) {
    Picture p = Pictures.flat(W, H, 0.5, 0.4, 0.35);
    for (int i = 0; i < p.r().length; i++) {
      p.r()[i] += i % W < columns ? red : 0;
    }
    return new Likeness.Look(Samples.of(plain(), p), on);
  }

  private static Likeness.Pair pair(Likeness.Look one, Likeness.Look two) {
    return Likeness.of(List.of(List.of(one), List.of(two))).pairs().get(0);
  }

  private static double apart(double red) {
    return Ciede2000.between(Lab.ofSrgb(0.5, 0.4, 0.35), Lab.ofSrgb(0.5 + red, 0.4, 0.35));
  }

  /** The mean over the picture would be a thirtieth of it. */
  @Test
  void brushOnEffectsAreComparedWhereTheyAct() {
    Likeness.Pair lips = pair(look(4, 0.1f, on("lips")), look(4, 0, on("lips")));
    assertThat(lips.mean()).isCloseTo(apart(0.1), within(0.01));
    Likeness.Pair whole = pair(look(W, 0.1f, EVERYWHERE), look(0, 0, EVERYWHERE));
    assertThat(whole.mean()).isCloseTo(apart(0.1), within(0.01));
    Likeness.Pair one = pair(look(4, 0.1f, on("lips")), look(0, 0, EVERYWHERE));
    assertThat(one.mean()).as("one of them on lips").isCloseTo(apart(0.1), within(0.01));
  }

  @Test
  void effectsThatCannotBeSeenAreLikeNothing() {
    OnRegions hidden = new OnRegions(Map.of("Tint", "lips"), Set.of(), false);
    Likeness.Pair pair = pair(look(0, 0, hidden), look(0, 0, hidden));
    assertThat(pair.isKnown()).isFalse();
    assertThat(new Likeness(List.of(pair)).below(100)).isEmpty();
    Likeness none =
        Likeness.of(List.of(Arrays.asList((Likeness.Look) null), List.of(look(0, 0, EVERYWHERE))));
    assertThat(none.pairs().get(0).isKnown()).isFalse();
  }

  @Test
  void whatDiffersOnOnePhotoAloneIsNotAlikeThoughItsMeanIsSmall() {
    Likeness.Look same = look(0, 0, EVERYWHERE);
    Likeness.Look other = look(W, 0.2f, EVERYWHERE);
    List<Likeness.Look> one = new ArrayList<>(java.util.Collections.nCopies(9, same));
    List<Likeness.Look> two = new ArrayList<>(one);
    one.add(same);
    two.add(other);
    Likeness likeness = Likeness.of(List.of(one, two));
    assertThat(likeness.pairs().get(0).mean()).isLessThan(2);
    assertThat(likeness.pairs().get(0).photo()).isEqualTo(9);
    assertThat(likeness.below(2)).isEmpty();
    assertThat(likeness.below(20)).hasSize(1);
  }

  /** Distances of known points in a plane come back; W. S. Torgerson, Psychometrika 17 (1952). */
  @Test
  void aMapKeepsTheDistancesOfPointsThatLieInAPlane() {
    Random random = new Random(5);
    double[][] points = new double[12][2];
    for (double[] p : points) {
      p[0] = random.nextDouble() * 20;
      p[1] = random.nextDouble() * 8;
    }
    double[][] distances = new double[12][12];
    for (int i = 0; i < 12; i++) {
      for (int k = 0; k < 12; k++) {
        distances[i][k] = Math.hypot(points[i][0] - points[k][0], points[i][1] - points[k][1]);
      }
    }
    List<double[]> map = ClassicalScaling.of(distances);
    for (int i = 0; i < 12; i++) {
      for (int k = 0; k < 12; k++) {
        double d = Math.hypot(map.get(i)[0] - map.get(k)[0], map.get(i)[1] - map.get(k)[1]);
        assertThat(d).isCloseTo(distances[i][k], within(1e-8));
      }
    }
    assertThat(map.stream().mapToDouble(p -> p[0]).sum()).isCloseTo(0, within(1e-8));
    assertThat(ClassicalScaling.of(new double[1][1])).hasSize(1);
  }

  @Test
  void coloursComeBackFromTheirBytes() {
    Samples colours = look(50, 0.1f, EVERYWHERE).colours();
    Samples back = Samples.read(colours.bytes());
    assertThat(back.groups().keySet()).isEqualTo(colours.groups().keySet());
    assertThat(back.difference(colours, Set.of())).isZero();
    assertThat(back.difference(colours, Set.of("lips"))).isZero();
    assertThat(back.difference(colours, Set.of("fur"))).isNaN();
  }

  /** Four corners and a point in their middle: the corners are picked. */
  @Test
  void theFewThatDifferMostAreTheFarthestFromOneAnother() {
    List<double[]> points =
        List.of(
            new double[] {5, 5},
            new double[] {0, 0},
            new double[] {10, 0},
            new double[] {0, 9},
            new double[] {10, 10.5});
    assertThat(Differing.pick(points, 4)).containsExactlyInAnyOrder(1, 2, 3, 4);
    assertThat(Differing.pick(points, 9)).hasSize(5);
    assertThat(Differing.pick(List.of(), 4)).isEmpty();
  }

  @Test
  void aCellHasMovedWhereAnyOfItsRegionsHas() {
    Samples before = look(0, 0, EVERYWHERE).colours();
    Samples lips = look(4, 0.1f, EVERYWHERE).colours();
    ApprovedSheet.Move move = ApprovedSheet.move(before, lips);
    assertThat(move.where()).isEqualTo("lips");
    assertThat(move.by()).isCloseTo(apart(0.1), within(0.01));
    assertThat(move.isMoved()).isTrue();
    assertThat(ApprovedSheet.move(before, before).isMoved()).isFalse();
  }
}
