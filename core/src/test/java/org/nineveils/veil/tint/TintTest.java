package org.nineveils.veil.tint;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;

class TintTest {
  private static Picture tinted(Picture picture, Map<String, ?> settings) {
    return Pictures.through(picture, Pictures.veil("tint", settings));
  }

  /** Weights of ITU-R BT.709 for luma. */
  @Test
  void monochromeWithoutWeightsIsLuma() {
    Picture out = tinted(Pictures.flat(1, 1, 0.8, 0.4, 0.2), Map.of("monochrome", 100));
    double luma = 0.2126 * 0.8 + 0.7152 * 0.4 + 0.0722 * 0.2;
    assertThat((double) out.r()[0]).isCloseTo(luma, within(1e-6));
    assertThat(out.g()[0]).isEqualTo(out.r()[0]);
    assertThat(out.b()[0]).isEqualTo(out.r()[0]);
  }

  @ParameterizedTest
  @CsvSource({
    "red, 1, 0, 0", "orange, 1, 0.5, 0", "yellow, 1, 1, 0", "green, 0, 1, 0",
    "aqua, 0, 1, 1", "blue, 0, 0, 1", "purple, 0.5, 0, 1", "magenta, 1, 0, 1"
  })
  void aHuesWeightMovesThatHueInFull(String hue, double r, double g, double b) {
    Picture colour = Pictures.flat(1, 1, 0.3 + 0.4 * r, 0.3 + 0.4 * g, 0.3 + 0.4 * b);
    Picture plain = tinted(colour, Map.of("monochrome", 100));
    Picture darker = tinted(colour, Map.of("monochrome", 100, hue, -50));
    assertThat((double) plain.r()[0] - darker.r()[0]).isCloseTo(0.5 * 0.4, within(1e-5));
  }

  @Test
  void weightsNeverMoveNeutrals() {
    Picture grey = Pictures.ramp(33);
    Picture out =
        tinted(
            grey, Map.of("monochrome", 100, "red", 100, "green", -100, "blue", 100, "orange", 70));
    assertThat(Pictures.farthest(grey, out)).isLessThan(1e-6);
  }

  /** The eight shares of a pixel's chroma sum to one: equal weights act alike on every colour. */
  @Test
  void sharesOfTheHuesSumToOne() {
    Picture picture = Pictures.random(200, 4, 6);
    Picture plain = tinted(picture, Map.of("monochrome", 100));
    Picture all =
        tinted(
            picture,
            Map.of(
                "monochrome",
                100,
                "red",
                -20,
                "orange",
                -20,
                "yellow",
                -20,
                "green",
                -20,
                "aqua",
                -20,
                "blue",
                -20,
                "purple",
                -20,
                "magenta",
                -20));
    for (int i = 0; i < plain.r().length; i++) {
      float r = picture.r()[i], g = picture.g()[i], b = picture.b()[i];
      double chroma = Math.max(r, Math.max(g, b)) - Math.min(r, Math.min(g, b));
      double expected = Math.max(0, plain.r()[i] - 0.2 * chroma);
      assertThat((double) all.r()[i]).isCloseTo(expected, within(1e-5));
    }
  }

  @Test
  void halfMonochromeIsHalfWayToGrey() {
    Picture picture = Pictures.random(20, 4, 8);
    Picture grey = tinted(picture, Map.of("monochrome", 100));
    Picture half = tinted(picture, Map.of("monochrome", 50));
    for (int i = 0; i < 80; i++) {
      double middle = (picture.g()[i] + grey.g()[i]) / 2;
      assertThat((double) half.g()[i]).isCloseTo(middle, within(1e-6));
    }
  }

  /** HSL of CSS Color 4, section 7: hue and saturation are replaced, lightness is kept. */
  @Test
  void colouriseKeepsLightnessAndSetsHue() {
    Picture out =
        tinted(
            Pictures.flat(1, 1, 0.7, 0.5, 0.3),
            Map.of("colourise", 100, "hue", 120, "saturation", 50));
    double max = out.g()[0];
    double min = out.r()[0];
    assertThat((max + min) / 2).isCloseTo(0.5, within(1e-6));
    assertThat(out.b()[0]).isEqualTo(out.r()[0]);
    assertThat((max - min) / (1 - Math.abs(2 * 0.5 - 1))).isCloseTo(0.5, within(1e-5));
  }

  @Test
  void theTwoWayTintColoursShadowsAndLightsApart() {
    Map<String, Integer> cross =
        Map.of("shadowTint", 40, "shadowHue", 240, "lightTint", 40, "lightHue", 60);
    Picture dark = tinted(Pictures.flat(1, 1, 0.2, 0.2, 0.2), cross);
    Picture light = tinted(Pictures.flat(1, 1, 0.8, 0.8, 0.8), cross);
    assertThat(dark.b()[0]).isGreaterThan(dark.r()[0]);
    assertThat(light.r()[0]).isGreaterThan(light.b()[0]);
    assertThat(tinted(Pictures.ramp(2), cross).r()).containsExactly(0, 1);
  }

  @Test
  void balanceGivesMoreOfTheTonesToOneColour() {
    Map<String, Object> blue = Map.of("shadowTint", 50, "shadowHue", 240);
    Picture grey = Pictures.flat(1, 1, 0.5, 0.5, 0.5);
    double even = tinted(grey, blue).b()[0];
    double shadows =
        tinted(grey, Map.of("shadowTint", 50, "shadowHue", 240, "balance", -80)).b()[0];
    double lights = tinted(grey, Map.of("shadowTint", 50, "shadowHue", 240, "balance", 80)).b()[0];
    assertThat(shadows).isGreaterThan(even + 0.05);
    assertThat(lights).isLessThan(even - 0.05);
  }

  /**
   * Common practice, no published source: sepia by colourising at hue 33°, saturation 12 %,
   * lightness +7 is a warm brown monochrome.
   */
  @Test
  void sepiaIsAWarmBrownMonochrome() {
    Map<String, Integer> sepia =
        Map.of("monochrome", 100, "colourise", 100, "hue", 33, "saturation", 12, "lightness", 7);
    Picture out = tinted(Pictures.photo("portrait-medium-skin-warm-studio"), sepia);
    for (int i = 0; i < out.r().length; i += 997) {
      float r = out.r()[i], g = out.g()[i], b = out.b()[i];
      assertThat(r).isGreaterThanOrEqualTo(g);
      assertThat(g).isGreaterThanOrEqualTo(b);
      if (r - b > 0.02) {
        assertThat(60.0 * (g - b) / (r - b)).isCloseTo(33, within(0.6));
      }
    }
  }
}
