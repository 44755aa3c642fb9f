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

  /** Colours at the eight Oklab hues 15°, 60° … 330°, L 0.66 and C 0.09, by the closed form. */
  @ParameterizedTest
  @CsvSource({
    "rose, 0.7644, 0.4825, 0.5034", "amber, 0.7331, 0.5210, 0.3451",
    "straw, 0.6049, 0.5859, 0.3193", "leaf, 0.4109, 0.6350, 0.4579",
    "jade, 0.2594, 0.6407, 0.6399", "sky, 0.3601, 0.6022, 0.7681",
    "iris, 0.5499, 0.5428, 0.7821", "mauve, 0.6969, 0.4940, 0.6767"
  })
  void aHuesWeightMovesThatHueByItsStrength(String hue, double r, double g, double b) {
    Picture colour = Pictures.flat(1, 1, r, g, b);
    Picture plain = tinted(colour, Map.of("monochrome", 100));
    Picture darker = tinted(colour, Map.of("monochrome", 100, hue, -50));
    double strength = Math.max(r, Math.max(g, b)) - Math.min(r, Math.min(g, b));
    assertThat((double) plain.r()[0] - darker.r()[0])
        .isCloseTo(0.5 * strength, within(2e-3 * strength));
  }

  @Test
  void weightsNeverMoveNeutrals() {
    Picture grey = Pictures.ramp(33);
    Picture out =
        tinted(grey, Map.of("monochrome", 100, "rose", 100, "leaf", -100, "sky", 100, "amber", 70));
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
                "rose",
                -20,
                "amber",
                -20,
                "straw",
                -20,
                "leaf",
                -20,
                "jade",
                -20,
                "sky",
                -20,
                "iris",
                -20,
                "mauve",
                -20));
    for (int i = 0; i < plain.r().length; i++) {
      float r = picture.r()[i], g = picture.g()[i], b = picture.b()[i];
      double chroma = Math.max(r, Math.max(g, b)) - Math.min(r, Math.min(g, b));
      double expected = Math.max(0, plain.r()[i] - 0.2 * chroma);
      if (chroma < 0.02) {
        continue; // what is all but grey has less than its whole share
      }
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
