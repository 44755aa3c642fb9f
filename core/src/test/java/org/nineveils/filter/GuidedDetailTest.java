package org.nineveils.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.picture.Area;

/** What is finer than a cell of the grid counts as the variance that it is. */
class GuidedDetailTest {
  private static final double EDGE = 0.12;

  /** Value of a column, 0…1. */
  private interface Column {
    double at(int x);
  }

  /** A picture of columns that are alike from top to bottom. */
  private static Plane columns(Area area, Column column) {
    float[] values = new float[area.pixels()];
    for (int x = 0; x < area.width(); x++) {
      for (int y = 0; y < area.height(); y++) {
        values[y * area.width() + x] = (float) column.at(x);
      }
    }
    return new Plane(area, values);
  }

  /** The share of its contrast that a pattern keeps, in the middle third of the middle row. */
  private static double kept(Guided guided, Plane own) {
    Area area = own.area();
    Guided.Line line =
        guided.lines(guided.moments(new Plane[] {own}, new Plane[0], area).andItself(), area)[0];
    int n = area.width();
    int y = area.height() / 2;
    float[] slope = new float[n];
    float[] offset = new float[n];
    line.slope().row(0, y, n, slope, new float[n + Field.SLACK]);
    line.offset().row(0, y, n, offset, new float[n + Field.SLACK]);
    double[] least = {1, 1};
    double[] most = {0, 0};
    for (int x = n / 3; x < 2 * n / 3; x++) {
      float before = own.values()[y * n + x];
      float after = slope[x] * before + offset[x];
      least[0] = Math.min(least[0], before);
      most[0] = Math.max(most[0], before);
      least[1] = Math.min(least[1], after);
      most[1] = Math.max(most[1], after);
    }
    return (most[1] - least[1]) / (most[0] - least[0]);
  }

  private static Guided onTheFullGrid(double sigma, Area area) {
    return new Guided(new Level(1, area), Window.gaussian(sigma), EDGE * EDGE / 4);
  }

  @Test
  void strandsOfTwoPixelsKeepWhatTheFilterOnTheFullGridKeeps() {
    Area area = new Area(0, 0, 1600, 120);
    Plane strands = columns(area, x -> x % 40 < 2 ? 0.3 : 0.7);
    double sigma = 0.008 * 1600;
    Guided coarse = new Guided(sigma, EDGE, area);
    assertThat(coarse.grid()).isGreaterThan(4);
    double fine = kept(onTheFullGrid(sigma, area), strands);
    assertThat(kept(coarse, strands)).isGreaterThanOrEqualTo(0.9 * fine);
    assertThat(fine).isGreaterThan(0.3);
  }

  @ParameterizedTest
  @ValueSource(ints = {1280, 1600, 1920, 2200, 2560, 6000})
  void aTextureKeepsTheSameShareAtEverySizeOfThePicture(int width) {
    double share = 0.008;
    Area area = new Area(0, 0, width, width / 16);
    Plane texture = columns(area, x -> 0.5 + 0.1 * Math.sin(2 * Math.PI * x / (share * width)));
    double sigma = 0.006 * width;
    double own = kept(new Guided(sigma, EDGE, area), texture);
    Area reference = new Area(0, 0, 1600, 100);
    Plane same = columns(reference, x -> 0.5 + 0.1 * Math.sin(2 * Math.PI * x / (share * 1600)));
    double wanted = kept(onTheFullGrid(0.006 * 1600, reference), same);
    assertThat(own / wanted).isEqualTo(1, within(0.05));
  }

  @Test
  void noStepIsSeenWhereTheGridDoubles() {
    Area area = new Area(0, 0, 1600, 160);
    Plane texture = columns(area, x -> 0.5 + 0.1 * Math.sin(2 * Math.PI * x / 12.8));
    for (double doubling : new double[] {1.8, 3.6, 7.2, 14.4}) {
      double below = kept(new Guided(doubling - 0.01, EDGE, area), texture);
      double above = kept(new Guided(doubling + 0.01, EDGE, area), texture);
      assertThat(above).as("at %s", doubling).isEqualTo(below, within(0.02));
    }
  }
}
