package org.nineveils.veil.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.colour.Oklab;
import org.nineveils.colour.Srgb;
import org.nineveils.kernel.HueStops;
import org.nineveils.picture.Picture;
import org.nineveils.testing.Pictures;

class ColourTest {
  private static Picture coloured(Picture picture, Map<String, ?> settings) {
    return Pictures.through(picture, Pictures.veil("colour", settings));
  }

  /** Lightness, chroma and hue in degrees of a picture's first pixel. */
  private static double[] lch(Picture p) {
    float[] l = {(float) Srgb.decode(p.r()[0])};
    float[] a = {(float) Srgb.decode(p.g()[0])};
    float[] b = {(float) Srgb.decode(p.b()[0])};
    Oklab.fromLinear(l, a, b, new float[3][1], 1);
    double hue = Math.toDegrees(Math.atan2(b[0], a[0]));
    return new double[] {l[0], Math.hypot(a[0], b[0]), (hue + 360) % 360};
  }

  private static final Picture MUTED_BLUE = Pictures.flat(1, 1, 0.42, 0.48, 0.58);
  private static final Picture SKIN = Pictures.flat(1, 1, 0.82, 0.64, 0.53);

  @ParameterizedTest
  @CsvSource({"30", "-75", "150", "-180"})
  void aHueIsTurnedByItsAngleWhileLightnessAndChromaStay(double degrees) {
    double[] before = lch(MUTED_BLUE);
    double[] after = lch(coloured(MUTED_BLUE, Map.of("hue", degrees)));
    double turned = ((after[2] - before[2] - degrees) % 360 + 540) % 360 - 180;
    assertThat(turned).isCloseTo(0, within(0.3));
    assertThat(after[0]).isCloseTo(before[0], within(2e-4));
    assertThat(after[1]).isCloseTo(before[1], within(2e-4));
  }

  @Test
  void saturationScalesChromaAndFullMinusIsGreyOfTheSameLightness() {
    double[] before = lch(MUTED_BLUE);
    double[] more = lch(coloured(MUTED_BLUE, Map.of("saturation", 40)));
    assertThat(more[1] / before[1]).isCloseTo(1.4, within(2e-3));
    Picture grey = coloured(MUTED_BLUE, Map.of("saturation", -100));
    assertThat(grey.r()[0]).isCloseTo(grey.b()[0], within(2e-5f));
    assertThat(lch(grey)[0]).isCloseTo(before[0], within(2e-4));
  }

  /** Once, orange turned by 9.7° with +50 saturation, and a blue turned by 180° by another 37°. */
  @ParameterizedTest
  @CsvSource({"0, 50", "0, 100", "180, 0", "-90, 0", "60, 80"})
  void coloursThatLeaveTheRangeKeepTheirHueAndLightness(int turn, int saturation) {
    for (int i = 0; i < 9 * 9 * 9; i++) {
      int red = i / 81;
      double[] rgb = {red / 8.0, i / 9 % 9 / 8.0, i % 9 / 8.0};
      Picture in = Pictures.flat(1, 1, rgb[0], rgb[1], rgb[2]);
      Picture out = coloured(in, Map.of("hue", turn, "saturation", saturation));
      double[] before = lch(in);
      double[] after = lch(out);
      if (rgb[0] == rgb[1] && rgb[1] == rgb[2]) {
        assertThat(out.r()[0]).isEqualTo((float) rgb[0], within(2e-5f));
      }
      if (after[1] > 0.02) {
        double turned = ((after[2] - before[2] - turn) % 360 + 540) % 360 - 180;
        boolean blue =
            before[2] + turn > 240 && before[2] + turn < 290; // cut off in part; see Gamut
        assertThat(turned)
            .as("%s %s %s", rgb[0], rgb[1], rgb[2])
            .isCloseTo(0, within(blue ? 2.0 : 1.0));
      }
      double to = ((before[2] + turn) % 360 + 360) % 360;
      boolean nearBlue = to > 240 && to < 290;
      assertThat(after[0]).isCloseTo(before[0], within(nearBlue ? 4e-3 : 2e-3));
    }
  }

  /**
   * Common practice, no published source: a gentle hue, saturation and lightness leaves play around
   * zero, keeps some colour at full minus and detail at full lightness.
   */
  @Test
  void gentleKeepsSomeColourAtFullMinusAndDetailAtFullLightness() {
    Picture pale = coloured(MUTED_BLUE, Map.of("saturation", -100, "gentle", 100));
    assertThat(lch(pale)[1] / lch(MUTED_BLUE)[1]).isCloseTo(0.15, within(0.01));
    Map<String, Integer> lightest = Map.of("lightness", 100, "gentle", 100);
    Picture dark = coloured(Pictures.flat(1, 1, 0.2, 0.2, 0.2), lightest);
    Picture light = coloured(Pictures.flat(1, 1, 0.6, 0.6, 0.6), lightest);
    assertThat(light.g()[0] - dark.g()[0]).isGreaterThan(0.03f);
    Picture plain = coloured(Pictures.flat(1, 1, 0.2, 0.2, 0.2), Map.of("lightness", 100));
    assertThat((double) plain.g()[0]).isCloseTo(1, within(1e-4));
    double slight = lch(coloured(MUTED_BLUE, Map.of("saturation", 10, "gentle", 100)))[1];
    double slightPlain = lch(coloured(MUTED_BLUE, Map.of("saturation", 10)))[1];
    assertThat(slight - lch(MUTED_BLUE)[1]).isLessThan((slightPlain - lch(MUTED_BLUE)[1]) / 2);
  }

  /** Common practice, no published source: vibrance spares strong colours and skin. */
  @Test
  void vibranceSparesStrongColoursAndSkinWhileSaturationMovesAllAlike() {
    Picture strong = Pictures.flat(1, 1, 0.1, 0.25, 0.8);
    double weak = gain(MUTED_BLUE, "vibrance");
    assertThat(weak).isGreaterThan(1.3);
    assertThat(gain(strong, "vibrance")).isLessThan(1 + (weak - 1) / 4);
    Picture coolOfSkinsStrength = coloured(SKIN, Map.of("hue", 180));
    assertThat(gain(SKIN, "vibrance") - 1)
        .isLessThan((gain(coolOfSkinsStrength, "vibrance") - 1) * 0.8);
    assertThat(gain(SKIN, "saturation")).isCloseTo(gain(MUTED_BLUE, "saturation"), within(0.01));
  }

  private static double gain(Picture p, String setting) {
    return lch(coloured(p, Map.of(setting, 60)))[1] / lch(p)[1];
  }

  /**
   * Patches at the stops, 15° and every 45° from there, L 0.7 and C 0.06, by the closed form of
   * Oklab (Ottosson 2020).
   */
  @ParameterizedTest
  @ValueSource(ints = {0, 1, 2, 3, 4, 5, 6, 7})
  void aBandMovesItsOwnHueInFullAndThoseBeyondItsNeighboursNotAtAll(int stop) {
    String name = HueStops.NAMES.get(stop).toLowerCase(Locale.ROOT);
    Picture own = atHue(15 + 45 * stop);
    assertThat(lch(coloured(own, Map.of(name + "Saturation", -100)))[1]).isLessThan(1e-3);
    double turned = lch(coloured(own, Map.of(name + "Hue", 30)))[2] - lch(own)[2];
    assertThat((turned + 360) % 360).isCloseTo(30, within(0.5));
    for (int away = 45; away <= 315; away += 45) {
      Picture other = atHue(15 + 45 * stop + away);
      assertThat(Pictures.farthest(other, coloured(other, Map.of(name + "Saturation", -100))))
          .as("%s on a hue %d° away", name, away)
          .isLessThan(2e-4);
    }
    double halfWay = lch(coloured(atHue(37.5 + 45 * stop), Map.of(name + "Saturation", -100)))[1];
    assertThat(halfWay).as("shared with the next").isCloseTo(0.03, within(5e-4));
  }

  /** A colour of L 0.7 and C 0.06. */
  private static Picture atHue(double degrees) {
    double a = 0.06 * Math.cos(Math.toRadians(degrees));
    double b = 0.06 * Math.sin(Math.toRadians(degrees));
    double l = Math.pow(0.7 + 0.3963377774 * a + 0.2158037573 * b, 3);
    double m = Math.pow(0.7 - 0.1055613458 * a - 0.0638541728 * b, 3);
    double s = Math.pow(0.7 - 0.0894841775 * a - 1.291485548 * b, 3);
    return Pictures.flat(
        1,
        1,
        Srgb.encode(4.0767416621 * l - 3.3077115913 * m + 0.2309699292 * s),
        Srgb.encode(-1.2684380046 * l + 2.6097574011 * m - 0.3413193965 * s),
        Srgb.encode(-0.0041960863 * l - 0.7034186147 * m + 1.707614701 * s));
  }

  /** Eight smooth overlapping weights that sum to one: all bands alike are the setting for all. */
  @Test
  void allBandsTogetherAreTheSettingForAllColours() {
    Map<String, Object> bands = new HashMap<>();
    for (String hue : HueStops.NAMES) {
      bands.put(hue.toLowerCase(Locale.ROOT) + "Saturation", -40);
      bands.put(hue.toLowerCase(Locale.ROOT) + "Hue", 25);
    }
    Picture picture = Pictures.random(50, 20, 5);
    Picture together = coloured(picture, bands);
    Picture all = coloured(picture, Map.of("saturation", -40, "hue", 25));
    assertThat(Pictures.farthest(together, all)).isLessThan(5e-4);
  }

  @Test
  void neutralsNeverTakeColour() {
    Picture ramp = Pictures.ramp(64);
    Picture out =
        coloured(
            ramp,
            Map.of(
                "hue", 90, "saturation", 100, "vibrance", 100, "roseHue", 60, "leafLightness", 80));
    assertThat(Pictures.farthest(ramp, out)).isLessThan(1e-4);
  }

  @Test
  void lightnessGoesToWhiteAndBlack() {
    assertThat(lch(coloured(SKIN, Map.of("lightness", -100)))[0]).isLessThan(1e-3);
    assertThat(lch(coloured(SKIN, Map.of("lightness", 100)))[0]).isCloseTo(1, within(1e-3));
    double half = lch(coloured(SKIN, Map.of("lightness", 50)))[0];
    assertThat(half).isCloseTo((1 + lch(SKIN)[0]) / 2, within(1e-3));
  }

  @Test
  void theGentleResponseIsOddAndRises() {
    double before = -1;
    for (double a : List.of(-1.0, -0.7, -0.3, -0.05, 0.0, 0.05, 0.3, 0.7, 1.0)) {
      double v = Colour.response(a, 1);
      assertThat(v).isGreaterThan(before).isCloseTo(-Colour.response(-a, 1), within(1e-12));
      before = v;
    }
    assertThat(Colour.response(0.4, 0)).isEqualTo(0.4);
  }
}
