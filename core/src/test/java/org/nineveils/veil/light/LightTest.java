package org.nineveils.veil.light;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.colour.Bradford;
import org.nineveils.colour.Chromaticity;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.colour.Oklab;
import org.nineveils.colour.Srgb;
import org.nineveils.picture.Picture;
import org.nineveils.setting.NumberSetting;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.StartingPoint;

class LightTest {
  private static Picture lit(Picture picture, Map<String, ?> settings) {
    return Pictures.through(picture, Pictures.veil("light", settings));
  }

  /** Definition of the exposure value: one stop doubles the light. */
  @Test
  void oneStopDoublesLinearLight() {
    Picture grey = Pictures.flat(4, 4, Srgb.encode(0.2), Srgb.encode(0.1), Srgb.encode(0.03));
    Picture out = lit(grey, Map.of("exposure", 1));
    assertThat(Srgb.decode(out.r()[5])).isCloseTo(0.4, within(1e-5));
    assertThat(Srgb.decode(out.g()[5])).isCloseTo(0.2, within(1e-5));
    assertThat(Srgb.decode(out.b()[5])).isCloseTo(0.06, within(1e-5));
  }

  /** Common practice, no published source: exposure is judged in thirds of a stop. */
  @Test
  void threeThirdsOfAStopAreOneStop() {
    Picture grey = Pictures.flat(2, 2, 0.3, 0.25, 0.2);
    Map<String, Double> third = Map.of("exposure", 1 / 3.0);
    Picture thrice = lit(lit(lit(grey, third), third), third);
    assertThat(Pictures.farthest(thrice, lit(grey, Map.of("exposure", 1)))).isLessThan(2e-6);
  }

  @Test
  void contrastKeepsMidGreyAndTheOrderOfTones() {
    for (int amount : new int[] {-100, -40, 25, 100}) {
      Picture out = lit(Pictures.ramp(2001), Map.of("contrast", amount));
      for (int i = 1; i < 2001; i++) {
        assertThat(out.g()[i]).isGreaterThanOrEqualTo(out.g()[i - 1]);
      }
      double mid = Srgb.MID_GREY;
      Picture grey = lit(Pictures.flat(1, 1, mid, mid, mid), Map.of("contrast", amount));
      assertThat((double) grey.r()[0]).isCloseTo(mid, within(1e-5));
    }
  }

  /** The tone ranges move smoothly and never reverse the order of tones, alone or together. */
  @Test
  void noMixOfToneSettingsReversesTheOrderOfTones() {
    Random random = new Random(31);
    List<String> keys = List.of("brightness", "contrast", "deepest", "deep", "light", "lightest");
    for (int round = 0; round < 120; round++) {
      Map<String, Object> settings = new HashMap<>();
      for (String key : keys) {
        int extreme = random.nextInt(5);
        settings.put(key, extreme == 0 ? -100 : extreme == 1 ? 100 : random.nextInt(201) - 100);
      }
      Picture out = lit(Pictures.ramp(1200), settings);
      for (int i = 1; i < 1200; i++) {
        assertThat(out.g()[i]).as("%s", settings).isGreaterThanOrEqualTo(out.g()[i - 1]);
      }
    }
  }

  @ParameterizedTest
  @CsvSource({
    "deep, 0.2, 0.9",
    "light, 0.8, 0.1",
    "deepest, 0.05, 0.95",
    "lightest, 0.95, 0.05",
  })
  void aToneRangeMovesItsOwnTonesMost(String range, double own, double far) {
    for (int amount : new int[] {-60, 60}) {
      double ownMoved = moved(range, amount, own);
      double farMoved = moved(range, amount, far);
      assertThat(Math.signum(ownMoved)).isEqualTo(Math.signum(amount));
      assertThat(Math.abs(farMoved)).isLessThan(Math.abs(ownMoved) / 8);
    }
  }

  private static double moved(String range, int amount, double tone) {
    Picture out = lit(Pictures.flat(1, 1, tone, tone, tone), Map.of(range, amount));
    return out.r()[0] - (float) tone;
  }

  @Test
  void brightnessMovesTheMiddleAndKeepsBlackAndWhite() {
    Picture out = lit(Pictures.ramp(3), Map.of("brightness", 50));
    assertThat(out.r()[0]).isZero();
    assertThat((double) out.r()[1]).isCloseTo(Math.pow(0.5, Math.pow(2, -0.5)), within(1e-5));
    assertThat((double) out.r()[2]).isCloseTo(1, within(1e-6));
  }

  /** White · gain comes to white, the order of tones and everything below the knee is kept. */
  @Test
  void theShoulderKeepsTonesApartThatExposureWouldBlow() {
    Picture ramp = Pictures.ramp(800);
    Picture hard = lit(ramp, Map.of("exposure", 2));
    Picture soft = lit(ramp, Map.of("exposure", 2, "shoulder", 50));
    assertThat(hard.r()[600]).as("blown without it").isGreaterThan(0.9999f);
    assertThat((double) soft.r()[799]).isCloseTo(1, within(1e-4));
    for (int i = 500; i < 800; i++) {
      assertThat(soft.r()[i]).isGreaterThan(soft.r()[i - 1]);
    }
    assertThat((double) soft.r()[200]).isCloseTo(hard.r()[200], within(1e-5));
  }

  /** Each channel bent alone once turned this skin from 53° to 88°. */
  @Test
  void theShoulderKeepsHueAndLightComesToWhiteSmoothly() {
    Picture skin = Pictures.flat(1, 1, 0xb0 / 255.0, 0x7e / 255.0, 0x62 / 255.0);
    double before = hue(skin);
    double last = 1;
    for (double stops = 0.5; stops <= 3; stops += 0.5) {
      Picture lit = lit(skin, Map.of("exposure", stops, "shoulder", 30));
      assertThat(hue(lit)).as("at %s", stops).isCloseTo(before, within(5.0));
      double colour = lit.r()[0] - lit.b()[0];
      if (stops > 1) {
        assertThat(colour).as("at %s", stops).isLessThan(last);
      }
      last = stops < 1 ? 1 : colour;
    }
    Picture lamp = Pictures.flat(1, 1, 1, 0.9, 0.7);
    Picture white = lit(lamp, Map.of("exposure", 3, "shoulder", 50));
    assertThat(white.b()[0]).isGreaterThan(0.9f);
  }

  /** The hue of Oklab (B. Ottosson, 2020), which light alone does not turn. */
  @ParameterizedTest
  @CsvSource({"0.5, 30", "2, 30", "2, 50", "2, 100", "4, 50", "4, 100"})
  void theShoulderTurnsSkinByNoMoreThanThreeDegrees(double stops, double amount) {
    double[][] skins = {{0xb0, 0x7e, 0x62}, {0xe8, 0xc0, 0xa8}, {0x6b, 0x45, 0x33}};
    for (double[] s : skins) {
      Picture skin = Pictures.flat(1, 1, s[0] / 255, s[1] / 255, s[2] / 255);
      Picture lit = lit(skin, Map.of("exposure", stops, "shoulder", amount));
      double[] now = oklab(lit);
      if (Math.hypot(now[1], now[2]) > 0.01) {
        double[] was = oklab(skin);
        double turned = Math.toDegrees(Math.atan2(now[2], now[1]) - Math.atan2(was[2], was[1]));
        assertThat(turned).isCloseTo(0, within(3.0));
      }
    }
  }

  /** Once the first per cent changed bright colours by ΔE00 16 to 32. */
  @ParameterizedTest
  @ValueSource(doubles = {0.5, 1, 2, 4})
  void aLittleShoulderDoesLittle(double stops) {
    Picture colours = Pictures.random(60, 40, 8);
    Picture none = lit(colours, Map.of("exposure", stops));
    Picture little = lit(colours, Map.of("exposure", stops, "shoulder", 1));
    for (int i = 0; i < none.r().length; i++) {
      double apart =
          Ciede2000.between(
              Lab.ofSrgb(none.r()[i], none.g()[i], none.b()[i]),
              Lab.ofSrgb(little.r()[i], little.g()[i], little.b()[i]));
      assertThat(apart).isLessThan(1.5);
    }
  }

  private static double[] oklab(Picture p) {
    float[][] v = {{p.r()[0]}, {p.g()[0]}, {p.b()[0]}};
    for (float[] c : v) {
      c[0] = (float) Srgb.decode(c[0]);
    }
    Oklab.fromLinear(v[0], v[1], v[2], new float[3][1], 1);
    return new double[] {v[0][0], v[1][0], v[2][0]};
  }

  private static double hue(Picture p) {
    Lab lab = Lab.ofSrgb(p.r()[0], p.g()[0], p.b()[0]);
    return Math.toDegrees(Math.atan2(lab.b(), lab.a()));
  }

  @Test
  void theShoulderDoesNothingWhereNothingIsPushedBeyondWhite() {
    Picture picture = Pictures.random(30, 10, 3);
    Picture down = lit(picture, Map.of("exposure", -1));
    assertThat(Pictures.same(down, lit(picture, Map.of("exposure", -1, "shoulder", 100)))).isTrue();
    assertThat(Pictures.same(picture, lit(picture, Map.of("shoulder", 100)))).isTrue();
  }

  @Test
  void moreContrastSpreadsTonesAboutMidGreyAndLessDrawsThemTogether() {
    Picture two = Pictures.ramp(5);
    Picture more = lit(two, Map.of("contrast", 50));
    Picture less = lit(two, Map.of("contrast", -50));
    assertThat(more.r()[3] - more.r()[1]).isGreaterThan(two.r()[3] - two.r()[1]);
    assertThat(less.r()[3] - less.r()[1]).isLessThan(two.r()[3] - two.r()[1]);
    assertThat(more.r()[0]).isZero();
    assertThat(more.r()[4]).isEqualTo(1);
  }

  /** The adapted white is the one that temperature and tint ask for (Bradford, CIE 1960 uv). */
  @Test
  void temperatureMovesWhiteAlongTheBlackBodyLocusByThatManyMired() {
    Chromaticity white = Light.white(50, 0);
    Chromaticity body = Chromaticity.blackBody(1e6 / (1e6 / 6504 + 50));
    Chromaticity neutral = Chromaticity.blackBody(6504);
    assertThat(white.u() - Chromaticity.D65.u()).isCloseTo(body.u() - neutral.u(), within(1e-9));
    assertThat(white.v() - Chromaticity.D65.v()).isCloseTo(body.v() - neutral.v(), within(1e-9));
  }

  /** With tint set, the picture once jumped where temperature crosses 0. */
  @Test
  void whiteMovesEvenlyThroughNeutral() {
    Picture grey = Pictures.flat(1, 1, 0.5, 0.5, 0.5);
    for (int tint : new int[] {-60, 60, 100}) {
      float[] red = new float[3];
      float[] blue = new float[3];
      for (int t = -1; t <= 1; t++) {
        Picture lit = lit(grey, Map.of("temperature", t, "greenToPink", tint));
        red[t + 1] = lit.r()[0];
        blue[t + 1] = lit.b()[0];
      }
      assertThat(red[2] - red[1]).isEqualTo(red[1] - red[0], within(2e-4f));
      assertThat(blue[2] - blue[1]).isEqualTo(blue[1] - blue[0], within(2e-4f));
    }
  }

  @Test
  void tintMovesWhiteAcrossTheLocus() {
    Chromaticity pink = Light.white(0, 100);
    double du = pink.u() - Chromaticity.D65.u();
    double dv = pink.v() - Chromaticity.D65.v();
    assertThat(Math.hypot(du, dv)).isCloseTo(0.04, within(1e-9));
    assertThat(dv).as("pink lies below the locus").isNegative();
  }

  @Test
  void warmerGivesMoreRedThanBlueAndPinkerTakesGreen() {
    Picture grey = Pictures.flat(1, 1, 0.5, 0.5, 0.5);
    Picture warm = lit(grey, Map.of("temperature", 30));
    Picture cool = lit(grey, Map.of("temperature", -30));
    Picture pink = lit(grey, Map.of("greenToPink", 40));
    assertThat(warm.r()[0]).isGreaterThan(warm.b()[0]);
    assertThat(cool.b()[0]).isGreaterThan(cool.r()[0]);
    assertThat(pink.g()[0]).isLessThan(pink.r()[0]).isLessThan(pink.b()[0]);
  }

  @Test
  void whiteBalanceKeepsTheLuminanceOfWhite() {
    double[] white =
        Light.linear(
                org.nineveils.setting.SettingValues.parse(
                    new Light().settings(), Map.of("temperature", 45, "greenToPink", -20)))
            .apply(1, 1, 1);
    double[] xyz = Srgb.toXyz().apply(white[0], white[1], white[2]);
    assertThat(xyz[1]).isCloseTo(1, within(1e-3));
  }

  /**
   * A grey card under light sources of CIE 15:2018 (D55, D65, D75, A, F2, chromaticities of the 2°
   * observer), taken with the camera set for D55: its starting point makes it grey again.
   */
  @ParameterizedTest
  @CsvSource({
    "Daylight, 0.33242, 0.34743",
    "Cloud, 0.31272, 0.32903",
    "Shade, 0.29902, 0.31485",
    "Tungsten, 0.44757, 0.40745",
    "Fluorescent, 0.37208, 0.37529"
  })
  void theStartingPointOfALightSourceMakesItsGreysGreyAgain(String label, double x, double y) {
    Chromaticity d55 = new Chromaticity(0.33242, 0.34743);
    double[] xyz = new Chromaticity(x, y).toXyz();
    double[] seen = Bradford.adapt(d55, Chromaticity.D65).apply(xyz[0], xyz[1], xyz[2]);
    double[] linear = Srgb.fromXyz().apply(seen[0] * 0.2, seen[1] * 0.2, seen[2] * 0.2);
    Picture card =
        Pictures.flat(1, 1, Srgb.encode(linear[0]), Srgb.encode(linear[1]), Srgb.encode(linear[2]));
    StartingPoint point =
        new Light()
            .startingPoints().stream().filter(p -> p.label().equals(label)).findFirst().get();
    double before = chroma(card);
    double after = chroma(lit(card, point.values()));
    assertThat(after).isLessThan(0.2).isLessThanOrEqualTo(before + 1e-3);
  }

  private static double chroma(Picture p) {
    Lab lab = Lab.ofSrgb(p.r()[0], p.g()[0], p.b()[0]);
    return Math.hypot(lab.a(), lab.b());
  }

  @Test
  void coolerTakesWarmerBack() {
    Picture grey = Pictures.flat(1, 1, 0.5, 0.45, 0.4);
    Picture there = lit(grey, Map.of("temperature", 40, "greenToPink", 10));
    Picture back = lit(there, Map.of("temperature", -40, "greenToPink", -10));
    assertThat(Pictures.farthest(grey, back)).isLessThan(2e-3); // luminance is kept both ways
  }

  /** On screens the ranges meet where the one begins to move a tone farther than the other. */
  @Test
  void theDarkestRangeEndsWhereTheDeepOneMovesATonesFarther() {
    for (double tone = 0.01; tone < 0.5; tone += 0.01) {
      double deepest = moved(ToneRanges.deepest(0.4), ToneRanges.deepest(-0.4), tone);
      double deep = moved(ToneRanges.deep(0.4), ToneRanges.deep(-0.4), tone);
      if (Math.abs(tone - Light.DARKEST) > 0.02) {
        assertThat(deepest > deep).as("tone %s", tone).isEqualTo(tone < Light.DARKEST);
      }
    }
    assertThat(List.of(Light.DEEPEST, Light.DEEP, Light.LIGHT, Light.LIGHTEST))
        .extracting(s -> ((NumberSetting.Tones) s.place()).to())
        .containsExactly(Light.DARKEST, 0.5, 1 - Light.DARKEST, 1.0);
  }

  private static double moved(DoubleUnaryOperator up, DoubleUnaryOperator down, double tone) {
    return Math.abs(up.applyAsDouble(tone) - tone) + Math.abs(down.applyAsDouble(tone) - tone);
  }
}
