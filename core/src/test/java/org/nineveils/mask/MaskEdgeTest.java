package org.nineveils.mask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;

class MaskEdgeTest {
  private static final Picture PHOTO = Pictures.flat(1000, 400, 0.5, 0.5, 0.5);

  /** A hard bar down the middle, 200 pixels wide. */
  private static final Paint BAR =
      new Paint(List.of(new Stroke(List.of(0.5, 0.0, 0.5, 0.4), 0.2, 0, 1, 1, true)));

  private static float[] row(Cover cover, double grow, double soften) {
    Mask mask = new Mask(cover, List.of(), grow, soften);
    float[] all = Painter.cover(mask, BAR, PHOTO, PHOTO.area()).values();
    return java.util.Arrays.copyOfRange(all, 200 * 1000, 201 * 1000);
  }

  private static double width(float[] row) {
    double sum = 0;
    for (float v : row) {
      sum += v;
    }
    return sum;
  }

  @ParameterizedTest
  @ValueSource(doubles = {3, 10, 30, -3, -10, -30})
  void growingMovesBothSidesByItsShareOfTheLongSide(double perMille) {
    double before = width(row(Cover.BRUSH_ON, 0, 0));
    double after = width(row(Cover.BRUSH_ON, perMille, 0));
    // 1 000 pixels: a thousandth is a pixel; exact to a third of the distance or better
    assertThat(after - before).isCloseTo(2 * perMille, within(0.34 * Math.abs(perMille) + 1));
  }

  /** A hair of three pixels was averaged over a cell first, and came out as a pale band. */
  @Test
  void whatIsFinerThanACellGrowsWhole() {
    Stroke hair = new Stroke(List.of(0.1, 0.2, 0.9, 0.2), 0.003, 0, 1, 1, true);
    Mask mask = new Mask(Cover.BRUSH_ON, List.of(), 24, 0);
    float[] all = Painter.cover(mask, new Paint(List.of(hair)), PHOTO, PHOTO.area()).values();
    double width = 0;
    for (int y = 0; y < 400; y++) {
      width += all[y * 1000 + 500];
    }
    assertThat(all[200 * 1000 + 500]).isGreaterThan(0.95f);
    assertThat(width).isCloseTo(3 + 2 * 24, within(8.0));
  }

  @Test
  void softeningKeepsTheMiddleOfTheEdgeAndTheSum() {
    float[] hard = row(Cover.BRUSH_ON, 0, 0);
    float[] soft = row(Cover.BRUSH_ON, 0, 10);
    assertThat(width(soft)).isCloseTo(width(hard), within(0.5));
    assertThat(soft[400]).isCloseTo(0.5f, within(0.06f));
    assertThat(soft[390]).isCloseTo(0.159f, within(0.03f)); // one standard deviation out
    assertThat(soft[500]).isCloseTo(1f, within(1e-4f));
  }

  @Test
  void itActsOnWhatIsBrushedOffAVeilThatCoversEverything() {
    Paint hole = new Paint(List.of(new Stroke(List.of(0.5, 0.2), 0.1, 0, 1, 1, false)));
    Mask mask = new Mask(Cover.EVERYWHERE, List.of(), -10, 0);
    float[] all = Painter.cover(mask, hole, PHOTO, PHOTO.area()).values();
    assertThat(all[200 * 1000 + 443]).isEqualTo(0); // the hole of 50 has grown by 10
    assertThat(all[200 * 1000 + 430]).isEqualTo(1);
  }

  @Test
  void aPartOfAShapedMaskIsThatPartOfTheWhole() {
    Mask mask = new Mask(Cover.BRUSH_ON, List.of(), 8, 6);
    Stroke corner = new Stroke(List.of(0.99, 0.395, 1.0, 0.3), 0.06, 0.4, 1, 1, true);
    Stroke left = new Stroke(List.of(0.0, 0.1, 0.01, 0.3), 0.05, 0.4, 1, 1, true);
    Paint paint = new Paint(List.of(BAR.strokes().get(0), corner, left));
    float[] whole = Painter.cover(mask, paint, PHOTO, PHOTO.area()).values();
    List<Area> areas =
        List.of(
            new Area(371, 33, 90, 77),
            new Area(0, 0, 450, 20),
            new Area(910, 323, 90, 77),
            new Area(999, 0, 1, 400),
            new Area(0, 0, 1, 400),
            new Area(0, 399, 1000, 1));
    for (Area area : areas) {
      float[] part = Painter.cover(mask, paint, PHOTO, area).values();
      for (int y = 0; y < area.height(); y++) {
        for (int x = 0; x < area.width(); x++) {
          assertThat(part[y * area.width() + x])
              .isEqualTo(whole[(area.y() + y) * 1000 + area.x() + x]);
        }
      }
    }
  }

  @Test
  void anEdgeOutOfItsRangeIsRefusedByName() {
    assertThatThrownBy(() -> new Mask(Cover.BRUSH_ON, List.of(), 31, 0))
        .hasMessageContaining("Grow");
    assertThatThrownBy(() -> new Mask(Cover.BRUSH_ON, List.of(), 0, Double.NaN))
        .hasMessageContaining("Soften");
  }

  /**
   * −0.44 beside the border, and a table of tones above it was asked for an entry before its first.
   */
  @Test
  void nearEveryBorderCoverageStaysWithinNothingAndAll() {
    java.util.Random random = new java.util.Random(3);
    for (int i = 0; i < 60; i++) {
      boolean across = random.nextBoolean();
      double edge =
          random.nextBoolean() ? 0.003 * random.nextInt(12) : 1 - 0.003 * random.nextInt(12);
      double along = random.nextDouble();
      double x = across ? along : edge;
      double y = (across ? edge : along) * 0.4; // of a picture of 1 000 × 400
      double far = random.nextDouble() * 0.3;
      Stroke stroke =
          new Stroke(
              List.of(x, y, across ? x + far : x, across ? y : y + far),
              0.01 + 0.1 * random.nextDouble(),
              random.nextDouble(),
              1,
              1,
              true);
      Cover cover = random.nextBoolean() ? Cover.BRUSH_ON : Cover.EVERYWHERE;
      double grow = List.of(30.0, 12.5, 4.0, -4.0, -12.5, -30.0).get(random.nextInt(6));
      double soften = random.nextBoolean() ? 0 : 50 * random.nextDouble();
      Mask mask = new Mask(cover, List.of(), grow, soften);
      for (float v :
          Painter.cover(mask, new Paint(List.of(stroke)), PHOTO, PHOTO.area()).values()) {
        assertThat(v).as("grow %s, soften %s at %s, %s", grow, soften, x, y).isBetween(0f, 1f);
      }
    }
  }
}
