package org.nineveils.veil.edge;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.colour.Srgb;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.testing.Pictures;

class EdgeTest {
  private static Picture edged(Picture picture, Map<String, ?> settings) {
    return Pictures.through(picture, Pictures.veil("edge", settings));
  }

  @Test
  void theMiddleStaysAndTheCornerTakesTheWholeAmount() {
    Picture picture = Pictures.flat(300, 200, 0.6, 0.5, 0.4);
    Picture out = edged(picture, Map.of("amount", -1, "reach", 40, "softness", 50, "roundness", 0));
    int middle = 100 * 300 + 150;
    assertThat((double) out.r()[middle]).isCloseTo(0.6, within(2e-6));
    assertThat(Srgb.decode(out.r()[0]) / Srgb.decode(0.6)).isCloseTo(0.5, within(2e-3));
  }

  /** Darkened as by exposure, not by black paint: the ratio of the channels' light is kept. */
  @Test
  void theBorderKeepsItsColour() {
    Picture out = edged(Pictures.flat(90, 60, 0.7, 0.5, 0.3), Map.of("amount", -2, "reach", 0));
    for (int i = 0; i < 90 * 60; i += 101) {
      double ratio = Srgb.decode(out.r()[i]) / Srgb.decode(out.b()[i]);
      assertThat(ratio).isCloseTo(Srgb.decode(0.7) / Srgb.decode(0.3), within(0.01));
    }
  }

  @Test
  void itGetsDarkerOutwardsWithoutASeam() {
    Picture out = edged(Pictures.flat(400, 10, 0.5, 0.5, 0.5), Map.of("amount", -1.5, "reach", 20));
    int row = 5 * 400;
    for (int x = 200; x < 399; x++) {
      float step = out.g()[row + x] - out.g()[row + x + 1];
      assertThat(step).isBetween(-2e-6f, 0.02f);
    }
  }

  @Test
  void theCentreCanBeMoved() {
    Map<String, Object> left = Map.of("amount", -2, "reach", 10, "centreX", 20, "centreY", 50);
    Picture out = edged(Pictures.flat(200, 100, 0.5, 0.5, 0.5), left);
    int row = 50 * 200;
    assertThat(out.r()[row + 40]).isGreaterThan(out.r()[row + 120]);
    assertThat((double) out.r()[row + 40]).isCloseTo(0.5, within(1e-5));
  }

  @Test
  void fullRoundnessMakesACircle() {
    Map<String, Object> round = Map.of("amount", -2, "reach", 10, "softness", 90, "roundness", 100);
    Picture out = edged(Pictures.flat(301, 201, 0.5, 0.5, 0.5), round);
    float right = out.r()[100 * 301 + 150 + 90];
    float below = out.r()[(100 + 90) * 301 + 150];
    assertThat((double) right).isCloseTo(below, within(1e-5));
  }

  @Test
  void aFrameCoversItsShareOfTheLongSideAndNothingElse() {
    Picture picture = Pictures.flat(200, 100, 0.2, 0.3, 0.4);
    Picture out = edged(picture, Map.of("frame", 5));
    assertThat(out.r()[50 * 200 + 9]).as("within ten pixels").isEqualTo(1);
    assertThat(out.b()[9 * 200 + 100]).isEqualTo(1);
    assertThat(out.r()[50 * 200 + 10]).isEqualTo(picture.r()[0]);
    assertThat(out.g()[89 * 200 + 100]).isEqualTo(picture.g()[0]);
    assertThat(out.g()[90 * 200 + 100]).isEqualTo(1);
  }

  @Test
  void theInnerLineHasTheOppositeLightness() {
    Picture out = edged(Pictures.flat(400, 300, 0.5, 0.5, 0.5), Map.of("frame", 6, "line", 1));
    int row = 150 * 400;
    assertThat(out.g()[row + 10]).as("frame of 24 pixels").isEqualTo(1);
    assertThat(out.g()[row + 28]).as("gap of 8").isEqualTo(0.5f);
    assertThat(out.g()[row + 33]).as("line of 4").isZero();
    assertThat(out.g()[row + 40]).isEqualTo(0.5f);
  }

  /** Sizes are shares: a small picture shows the same vignette as the full frame scaled down. */
  @Test
  void aPreviewShowsTheSameVignette() {
    Picture full = Pictures.photo("pet-ginger-cat");
    Map<String, Object> settings = Map.of("amount", -1.2, "reach", 35, "centreX", 45);
    Picture preview = edged(Scaling.toLongSide(full, 450), settings);
    Picture scaled = Scaling.toLongSide(edged(full, settings), 450);
    assertThat(Pictures.farthest(preview, scaled)).isLessThan(0.02);
  }
}
