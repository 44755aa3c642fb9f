package org.nineveils.mask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;

class PainterTest {
  private static final Area ALL = new Area(0, 0, 400, 300);
  private static final Picture SMALL = Picture.blank(400, 300);
  private static final Picture LARGE = Picture.blank(1600, 1200);

  private static Stroke across(
      double size, double softness, double strength, double flow, boolean reveal) {
    return new Stroke(List.of(0.1, 0.375, 0.9, 0.375), size, softness, strength, flow, reveal);
  }

  private static Coverage painted(Stroke... strokes) {
    return Painter.cover(Mask.BRUSH_ON, new Paint(List.of(strokes)), SMALL, ALL);
  }

  private static float at(Coverage c, int x, int y) {
    return c.values()[y * c.area().width() + x];
  }

  @Test
  void aFullStrokeCoversItsWayAndNothingElse() {
    Coverage c = painted(across(0.1, 0, 1, 1, true));
    assertThat(at(c, 200, 150)).isEqualTo(1);
    assertThat(at(c, 200, 132)).isEqualTo(1);
    assertThat(at(c, 200, 128)).isZero();
    assertThat(at(c, 200, 173)).isZero();
    assertThat(at(c, 10, 150)).isZero();
  }

  @Test
  void aSoftBrushFallsSmoothlyToItsRim() {
    Coverage c = painted(across(0.2, 1, 1, 1, true));
    float before = 2;
    for (int y = 150; y <= 191; y++) {
      assertThat(at(c, 200, y)).isLessThanOrEqualTo(before);
      before = at(c, 200, y);
    }
    assertThat(at(c, 200, 170)).isBetween(0.45f, 0.55f);
    assertThat(at(c, 200, 191)).isZero();
  }

  @Test
  void hidingTakesAwayWhatWasRevealed() {
    Coverage c = painted(across(0.1, 0, 1, 1, true), across(0.05, 0, 1, 1, false));
    assertThat(at(c, 200, 150)).isZero();
    assertThat(at(c, 200, 135)).isEqualTo(1);
  }

  @Test
  void hidingWorksOnAVeilThatCoversEverywhere() {
    Paint paint = new Paint(List.of(across(0.1, 0, 0.25, 1, false)));
    Coverage c = Painter.cover(Mask.EVERYWHERE, paint, SMALL, ALL);
    assertThat(at(c, 200, 150)).isCloseTo(0.75f, within(1e-6f));
    assertThat(at(c, 200, 20)).isEqualTo(1);
  }

  /** Keep it off: what is painted where the rule selects nothing does not count, however often. */
  @Test
  void whereABrushedMaskHasRulesPaintCountsByWhatTheySelect() {
    Picture halves = Picture.blank(400, 300);
    for (int i = 0; i < 400 * 300; i++) {
      float v = i % 400 < 200 ? 0.05f : 0.8f;
      halves.r()[i] = v;
      halves.g()[i] = v;
      halves.b()[i] = v;
    }
    Rule dark = Pictures.rule("brightness", Map.of("to", 20, "featherAbove", 10));
    Rule notDark = new Rule(dark.kind(), dark.values(), Rule.Join.AND, true);
    Mask offTheShadows = new Mask(Cover.BRUSH_ON, List.of(notDark));
    Stroke stroke = across(0.1, 0, 1, 1, true);
    Coverage c = Painter.cover(offTheShadows, new Paint(List.of(stroke, stroke)), halves, ALL);
    assertThat(at(c, 100, 150)).isCloseTo(0, within(0.01f));
    assertThat(at(c, 300, 150)).isCloseTo(1, within(0.01f));
    assertThat(at(c, 300, 20)).as("never more than painted").isZero();
  }

  @Test
  void strengthIsTheMostThatAStrokeCovers() {
    assertThat(at(painted(across(0.1, 0.5, 0.4, 1, true)), 200, 150))
        .isCloseTo(0.4f, within(1e-5f));
  }

  /** Common practice, no published source: flow of about 25 % builds up gradually. */
  @Test
  void onePassageLeavesAboutTheFlowInItsMiddleAndMoreBuildUp() {
    for (double softness : new double[] {0, 0.5, 1}) {
      float once = at(painted(across(0.2, softness, 1, 0.25, true)), 200, 150);
      assertThat(once).as("softness %s", softness).isBetween(0.19f, 0.31f);
    }
    Stroke s = across(0.2, 0.5, 1, 0.25, true);
    float once = at(painted(s), 200, 150);
    float twice = at(painted(s, s), 200, 150);
    assertThat(twice).isCloseTo(1 - (1 - once) * (1 - once), within(1e-5f));
  }

  /** All sizes are shares of the long side: the preview's mask is the full frame's mask. */
  @Test
  void aPreviewHasTheSameMask() {
    Paint paint = new Paint(List.of(across(0.15, 0.8, 0.9, 0.6, true)));
    Coverage small = Painter.cover(Mask.BRUSH_ON, paint, SMALL, ALL);
    Coverage large = Painter.cover(Mask.BRUSH_ON, paint, LARGE, new Area(0, 0, 1600, 1200));
    for (int y = 0; y < 300; y += 3) {
      for (int x = 0; x < 400; x += 7) {
        float mean = 0;
        for (int k = 0; k < 16; k++) {
          mean += at(large, 4 * x + k % 4, 4 * y + k / 4) / 16;
        }
        assertThat(at(small, x, y)).isCloseTo(mean, within(0.03f));
      }
    }
  }

  @Test
  void anAreaIsThatPartOfTheWholeBitForBit() {
    Paint paint =
        new Paint(List.of(across(0.15, 0.7, 0.9, 0.4, true), across(0.03, 0.1, 1, 1, false)));
    Coverage whole = Painter.cover(Mask.BRUSH_ON, paint, SMALL, ALL);
    Area area = new Area(133, 120, 71, 49);
    Coverage part = Painter.cover(Mask.BRUSH_ON, paint, SMALL, area);
    for (int y = 0; y < 49; y++) {
      for (int x = 0; x < 71; x++) {
        assertThat(at(part, x, y)).isEqualTo(at(whole, x + 133, y + 120));
      }
    }
  }

  @Test
  void fillReachesEveryPixelUprightAndAcross() {
    for (Picture p : List.of(SMALL, Picture.blank(300, 400), Picture.blank(256, 256))) {
      for (float v : Painter.cover(Mask.BRUSH_ON, Paint.filled(true), p, p.area()).values()) {
        assertThat(v).isEqualTo(1);
      }
      for (float v : Painter.cover(Mask.EVERYWHERE, Paint.filled(false), p, p.area()).values()) {
        assertThat(v).isZero();
      }
    }
  }

  @Test
  void invertedPaintCoversWhatWasLeftOutAndTwiceIsAsItWas() {
    Paint paint =
        new Paint(List.of(across(0.3, 0.7, 0.9, 0.4, true), across(0.1, 0.5, 0.8, 1, false)));
    float[] before = Painter.cover(Mask.BRUSH_ON, paint, SMALL, ALL).values();
    Paint turned = paint.inverted(false);
    float[] after = Painter.cover(Mask.BRUSH_ON, turned, SMALL, ALL).values();
    for (int i = 0; i < before.length; i++) {
      assertThat(after[i]).isCloseTo(1 - before[i], within(1e-5f));
    }
    assertThat(turned.inverted(false)).isEqualTo(paint);
    assertThat(Paint.NONE.inverted(true)).isEqualTo(Paint.filled(false));
  }

  @Test
  void aSingleTouchLeavesADot() {
    Stroke dot = new Stroke(List.of(0.5, 0.375), 0.05, 0.3, 1, 1, true);
    Coverage c = painted(dot);
    assertThat(at(c, 200, 150)).isGreaterThan(0.99f);
    assertThat(at(c, 230, 150)).isZero();
  }

  @Test
  void aBrushOfOnePixelStillLeavesATrace() {
    Coverage c = painted(across(Stroke.MIN_SIZE, 0, 1, 1, true));
    assertThat(at(c, 200, 150) + at(c, 200, 149)).isGreaterThan(0.5f);
  }

  @Test
  void valuesOutsideTheirRangesAreRefusedByName() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> across(2, 0, 1, 1, true))
        .withMessageContaining("Brush size")
        .withMessageContaining("2.0");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> across(0.1, 0, Double.NaN, 1, true))
        .withMessageContaining("Brush strength");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Stroke(List.of(0.1), 0.1, 0, 1, 1, true))
        .withMessageContaining("two numbers");
  }
}
