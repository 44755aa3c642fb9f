package org.nineveils.mask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.document.Json;
import org.nineveils.document.PaintJson;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.testing.Pictures;

/** A brush that keeps to the colour that it began on, and a pen that is pressed. */
class HoldingTest {
  private static final String PHOTO = "portrait-backlit-green-grass";
  private static final double LONG = 900; // of the region masks, pixels

  /** A rough stroke down the grass beside the arm on the left, a good part of it on the arm. */
  private static Stroke besideTheArm(double holding) {
    List<Double> way =
        List.of(50.0, 490.0, 56.0, 560.0, 62.0, 620.0, 54.0, 660.0, 48.0, 700.0).stream()
            .map(v -> v / LONG)
            .toList();
    return new Stroke(way, 75 / LONG, 0.3, 1, 1, true, Pressure.NONE, holding);
  }

  private static double covered(Picture photo, Picture region, double holding) {
    Coverage c = Painter.cover(Mask.BRUSH_ON, paint(holding), photo, photo.area());
    double sum = 0;
    for (int i = 0; i < c.values().length; i++) {
      sum += c.values()[i] * region.g()[i];
    }
    return sum;
  }

  private static Paint paint(double holding) {
    return new Paint(List.of(besideTheArm(holding)));
  }

  private static Picture region(String name, int longSide) {
    Picture whole =
        PictureReader.read(Path.of("src/test/resources/regions/" + PHOTO + "." + name + ".png"));
    return Scaling.toLongSide(whole, longSide);
  }

  @ParameterizedTest
  @CsvSource({"900, 12", "900, 18", "700, 18"})
  void aStrokeOverGrassSpillsATenthOfWhatThePlainBrushSpillsOntoAnArm(
      int longSide, double holding) {
    Picture photo = Scaling.toLongSide(Pictures.photo(PHOTO), longSide);
    Picture arm = region("skin", longSide);
    Picture grass = region("grass", longSide);
    double spills = covered(photo, arm, holding) / covered(photo, arm, 0);
    double keeps = covered(photo, grass, holding) / covered(photo, grass, 0);
    assertThat(spills).isLessThanOrEqualTo(0.1);
    assertThat(keeps).isGreaterThan(0.75);
  }

  /** Where it is decided does not depend on the size that is rendered. */
  @Test
  void aPreviewHoldsAsTheFullFrameDoes() {
    Picture full = Pictures.photo(PHOTO);
    Picture preview = Scaling.toLongSide(full, 900);
    Coverage whole = Painter.cover(Mask.BRUSH_ON, paint(18), full, full.area());
    float[] v = whole.values();
    Picture small = Scaling.toLongSide(new Picture(full.width(), full.height(), v, v, v), 900);
    float[] own = Painter.cover(Mask.BRUSH_ON, paint(18), preview, preview.area()).values();
    double difference = 0;
    for (int i = 0; i < own.length; i++) {
      difference += Math.abs(own[i] - small.r()[i]);
    }
    assertThat(difference / own.length).isLessThan(0.01);
  }

  @Test
  void anAreaIsThatPartOfTheWholeBitForBit() {
    Picture photo = Scaling.toLongSide(Pictures.photo(PHOTO), 900);
    Coverage whole = Painter.cover(Mask.BRUSH_ON, paint(18), photo, photo.area());
    for (Area part : List.of(new Area(20, 500, 90, 120), new Area(61, 433, 33, 301))) {
      assertThat(Painter.cover(Mask.BRUSH_ON, paint(18), photo, part).values())
          .isEqualTo(whole.cut(part).values());
    }
  }

  private static Coverage pressed(Pressure pressure) {
    Stroke s = new Stroke(List.of(0.1, 0.4, 0.9, 0.4), 0.2, 0, 1, 0.6, true, pressure, 0);
    Picture blank = Picture.blank(400, 320);
    return Painter.cover(Mask.BRUSH_ON, new Paint(List.of(s)), blank, blank.area());
  }

  @Test
  void aPenMovesTheSizeOrTheFlowAsItIsPressed() {
    Coverage even = pressed(Pressure.NONE);
    Coverage size = pressed(new Pressure(List.of(0.0, 1.0), Pressure.Moves.SIZE));
    int width = 400;
    for (int x : new int[] {120, 200, 280}) {
      double share = (x / 400.0 - 0.1) / 0.8;
      assertThat(high(size, x, width)).isCloseTo(80 * share, within(8.0));
    }
    assertThat(high(even, 120, width)).isCloseTo(80, within(3.0));
    Coverage flow = pressed(new Pressure(List.of(0.0, 1.0), Pressure.Moves.FLOW));
    assertThat(high(flow, 200, width)).isCloseTo(80, within(4.0));
    int middle = 160 * width;
    assertThat(flow.values()[middle + 80]).isLessThan(flow.values()[middle + 320] / 2);
    assertThat(pressed(new Pressure(List.of(1.0, 1.0), Pressure.Moves.SIZE)).values())
        .as("pressed fully it is a mouse")
        .isEqualTo(even.values());
  }

  private static double high(Coverage c, int x, int width) {
    int n = 0;
    for (int y = 0; y < c.area().height(); y++) {
      n += c.values()[y * width + x] > 0.02 ? 1 : 0;
    }
    return n;
  }

  @Test
  void strokesWithPressureAndHoldingComeBackFromADocument() {
    Pressure pressure = new Pressure(List.of(0.2, 1.0), Pressure.Moves.FLOW);
    Stroke s = new Stroke(List.of(0.1, 0.4, 0.9, 0.4), 0.2, 0, 1, 1, true, pressure, 12.5);
    String json = Json.write(PaintJson.formatStroke(s));
    assertThat(PaintJson.parseStroke(Json.read(json, "The stroke"))).isEqualTo(s);
    Stroke plain = new Stroke(List.of(0.1, 0.4), 0.2, 0, 1, 1, true);
    assertThat(Json.write(PaintJson.formatStroke(plain))).doesNotContain("pressure", "holding");
  }

  @Test
  void pressureBelongsToEveryPointOrToNone() {
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                new Stroke(
                    List.of(0.1, 0.4, 0.9, 0.4),
                    0.2,
                    0,
                    1,
                    1,
                    true,
                    new Pressure(List.of(0.5), Pressure.Moves.SIZE),
                    0))
        .withMessageContaining("pressure at all of its points or at none");
  }
}
