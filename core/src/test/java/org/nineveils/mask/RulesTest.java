package org.nineveils.mask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.setting.SettingValues;
import org.nineveils.testing.CheckValues;
import org.nineveils.testing.Pictures;
import org.nineveils.testing.RandomSettings;

class RulesTest {
  private static Rule rule(String kind, Map<String, ?> settings) {
    return joined(kind, settings, Rule.Join.AND, false);
  }

  private static Rule joined(
      String kind, Map<String, ?> settings, Rule.Join join, boolean inverted) {
    RuleKind k = RuleKinds.ofId(kind);
    return new Rule(k, SettingValues.parse(k.settings(), settings), join, inverted);
  }

  private static float[] selected(Picture plain, Rule... rules) {
    Mask mask = new Mask(Cover.BY_RULE, List.of(rules));
    return Painter.cover(mask, Paint.NONE, plain, plain.area()).values();
  }

  private static float onOne(double r, double g, double b, Rule... rules) {
    return selected(Pictures.flat(1, 1, r, g, b), rules)[0];
  }

  @Test
  void aBrightnessRangeIsFullWithinAndFallsOverItsFeathersOutside() {
    Rule middle =
        rule("brightness", Map.of("from", 40, "to", 60, "featherBelow", 20, "featherAbove", 10));
    float[] w = selected(Pictures.ramp(101), middle);
    assertThat(w[40]).isCloseTo(1, within(1e-4f));
    assertThat(w[60]).isCloseTo(1, within(1e-4f));
    assertThat(w[30]).as("half-way down the feather").isCloseTo(0.5f, within(0.01f));
    assertThat(w[20]).isCloseTo(0, within(1e-4f));
    assertThat(w[65]).isCloseTo(0.5f, within(0.01f));
    assertThat(w[70]).isCloseTo(0, within(1e-4f));
  }

  @Test
  void aRangeThatReachesBlackOrWhiteTakesThemWhole() {
    float[] w = selected(Pictures.ramp(11), rule("brightness", Map.of("from", 0, "to", 30)));
    assertThat(w[0]).isEqualTo(1);
    float[] light = selected(Pictures.ramp(11), rule("brightness", Map.of("from", 70, "to", 100)));
    assertThat(light[10]).isEqualTo(1);
  }

  /** HSL hue of 72 colours by an independent library: check-values/srgb_to_oklab_lch_hsl.csv. */
  @Test
  void hueIsThatOfTheStandard() {
    for (var row : CheckValues.table("srgb_to_oklab_lch_hsl.csv")) {
      if (!row.has("hsl_h")) {
        continue;
      }
      float r = (float) row.number("r");
      float g = (float) row.number("g");
      float b = (float) row.number("b");
      float chroma = Math.max(r, Math.max(g, b)) - Math.min(r, Math.min(g, b));
      double hue = ColourRule.hueOf(r, g, b, chroma) % 360;
      assertThat(hue).isCloseTo(row.number("hsl_h") % 360, within(1e-3));
    }
  }

  @Test
  void aColourRangeTakesItsHueAcrossZeroAndNoGreys() {
    Rule reds = rule("colour", Map.of("hue", 355, "range", 15, "feather", 10));
    assertThat(onOne(0.8, 0.3, 0.3, reds)).as("hue 0").isCloseTo(1, within(1e-4f));
    assertThat(onOne(0.3, 0.8, 0.3, reds)).as("green").isZero();
    assertThat(onOne(0.5, 0.5, 0.5, reds)).as("grey").isZero();
    assertThat(onOne(0.51, 0.5, 0.5, reds)).as("below the chroma floor").isZero();
  }

  @Test
  void theStartOfAColourRuleTakesTheSkinOfTheTestPhotos() {
    Picture photo = Scaling.toLongSide(Pictures.photo("portrait-medium-skin-warm-studio"), 300);
    float[] w = selected(photo, rule("colour", Map.of()));
    int cheek = 129 * photo.width() + 84;
    assertThat(w[cheek]).isGreaterThan(0.8f);
  }

  @Test
  void aRoundShapeLiesAtItsPlaceInSharesOfThePicture() {
    Rule spot = rule("shape", Map.of("x", 25, "y", 50, "size", 10, "feather", 10));
    float[] w = selected(Pictures.flat(200, 100, 0, 0, 0), spot);
    assertThat(w[50 * 200 + 50]).isEqualTo(1);
    assertThat(w[50 * 200 + 80]).as("half-way down the feather").isCloseTo(0.5f, within(0.05f));
    assertThat(w[50 * 200 + 150]).isZero();
  }

  @Test
  void aStraightShapeTakesOneSideOfALine() {
    Rule above = rule("shape", Map.of("straight", 100, "angle", 90, "size", 0, "feather", 5));
    float[] w = selected(Pictures.flat(40, 100, 0, 0, 0), above);
    assertThat(w[10 * 40 + 5]).isEqualTo(1);
    assertThat(w[90 * 40 + 35]).isZero();
    assertThat(w[10 * 40]).isEqualTo(w[10 * 40 + 39]);
  }

  @Test
  void rulesAreJoinedByAndOrMinus() {
    Rule half = rule("brightness", Map.of("amount", 50));
    Map<String, Integer> third = Map.of("amount", 40);
    Picture grey = Pictures.flat(1, 1, 0.5, 0.5, 0.5);
    assertThat(selected(grey, half, joined("brightness", third, Rule.Join.AND, false))[0])
        .isCloseTo(0.5f * 0.4f, within(1e-6f));
    assertThat(selected(grey, half, joined("brightness", third, Rule.Join.OR, false))[0])
        .isCloseTo(1 - 0.5f * 0.6f, within(1e-6f));
    assertThat(selected(grey, half, joined("brightness", third, Rule.Join.MINUS, false))[0])
        .isCloseTo(0.5f * 0.6f, within(1e-6f));
  }

  /** A guard keeps a veil off shadows by an amount: everything, minus the shadows. */
  @Test
  void aGuardIsARuleTakenAwayByItsAmount() {
    Rule all = rule("brightness", Map.of());
    Rule shadows =
        joined("brightness", Map.of("from", 0, "to", 20, "amount", 70), Rule.Join.MINUS, false);
    assertThat(onOne(0.1, 0.1, 0.1, all, shadows)).isCloseTo(0.3f, within(1e-5f));
    assertThat(onOne(0.8, 0.8, 0.8, all, shadows)).isEqualTo(1);
  }

  @Test
  void invertedSelectsTheRest() {
    Rule dark = rule("brightness", Map.of("from", 0, "to", 40));
    Rule rest = joined("brightness", Map.of("from", 0, "to", 40), Rule.Join.AND, true);
    for (double v : new double[] {0.1, 0.45, 0.9}) {
      assertThat(onOne(v, v, v, rest)).isCloseTo(1 - onOne(v, v, v, dark), within(1e-6f));
    }
  }

  @Test
  void paintComesOnTopOfTheRule() {
    Mask dark = new Mask(Cover.BY_RULE, List.of(rule("brightness", Map.of("from", 0, "to", 20))));
    Stroke dot = new Stroke(List.of(0.25, 0.25), 0.2, 0, 1, 1, true);
    Picture light = Pictures.flat(100, 100, 0.9, 0.9, 0.9);
    Coverage c = Painter.cover(dark, new Paint(List.of(dot)), light, light.area());
    assertThat(c.values()[25 * 100 + 25]).isEqualTo(1);
    assertThat(c.values()[75 * 100 + 75]).isZero();
  }

  static List<RuleKind> kinds() {
    return RuleKinds.all();
  }

  @ParameterizedTest
  @MethodSource("kinds")
  void everyRuleStaysBetweenNothingAndAllAndIsTheSameInEveryTile(RuleKind kind) {
    Random random = new Random(17);
    Picture picture = Pictures.random(90, 40, 3);
    for (int round = 0; round < 40; round++) {
      Map<String, Object> raw = RandomSettings.of(kind.settings(), random);
      Mask mask = new Mask(Cover.BY_RULE, List.of(rule(kind.id(), raw)));
      float[] whole = Painter.cover(mask, Paint.NONE, picture, picture.area()).values();
      Area area = new Area(13, 7, 50, 20);
      float[] part = Painter.cover(mask, Paint.NONE, picture, area).values();
      for (int i = 0; i < part.length; i++) {
        assertThat(part[i]).isBetween(0f, 1f);
        assertThat(part[i]).isEqualTo(whole[(7 + i / 50) * 90 + 13 + i % 50]);
      }
    }
  }

  @Test
  void aMaskByRuleNeedsARuleAndOneEverywhereTakesNone() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Mask(Cover.BY_RULE, List.of()))
        .withMessageContaining("1 to 6 rules");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Mask(Cover.EVERYWHERE, List.of(rule("shape", Map.of()))))
        .withMessageContaining("Only a mask by rule or by brush");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> RuleKinds.ofId("mood"))
        .withMessageContaining("“mood”");
  }
}
