package org.nineveils.mask;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.colour.Lab;
import org.nineveils.colour.LabLoops;
import org.nineveils.file.PictureReader;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;
import org.nineveils.testing.Pictures;

/** Rules that measure in CIE Lab: picked colours and skin; and the ready-made guards. */
class LabRulesTest {
  private static float[] selected(Picture plain, Rule... rules) {
    Mask mask = new Mask(Cover.BY_RULE, List.of(rules));
    return Painter.cover(mask, Paint.NONE, plain, plain.area()).values();
  }

  @Test
  void theLoopsOfLabStayNearTheClosedForm() {
    Picture p = Pictures.random(100, 100, 9);
    p.r()[0] = 0;
    p.g()[0] = 0;
    p.b()[0] = 0;
    p.r()[1] = 1;
    p.g()[1] = 1;
    p.b()[1] = 1;
    float[][] lab = {p.r().clone(), p.g().clone(), p.b().clone()};
    LabLoops.fromSrgb(lab[0], lab[1], lab[2], new float[3][10_000], 10_000);
    for (int i = 0; i < 10_000; i++) {
      Lab exact = Lab.ofSrgb(p.r()[i], p.g()[i], p.b()[i]);
      assertThat((double) lab[0][i]).isCloseTo(exact.l(), within(0.02));
      assertThat((double) lab[1][i]).isCloseTo(exact.a(), within(0.02));
      assertThat((double) lab[2][i]).isCloseTo(exact.b(), within(0.02));
    }
  }

  /**
   * Distances in Lab: full up to the tolerance, half-way down the feather one half, then nothing.
   */
  @Test
  void pickedColoursReachAsFarAsToleranceAndFeatherSay() {
    Rule grey =
        Pictures.rule(
            "picked", Map.of("colours", List.of("#777777"), "tolerance", 10, "feather", 10));
    double l = Lab.ofSrgb(0x77 / 255.0, 0x77 / 255.0, 0x77 / 255.0).l();
    float[] expected = {1, 1, 0.5f, 0};
    double[] away = {0, 9.9, 15, 20.2};
    for (int k = 0; k < away.length; k++) {
      double v = new Lab(l + away[k], 0, 0).toSrgb()[1];
      float[] w = selected(Pictures.flat(1, 1, v, v, v), grey);
      assertThat(w[0]).as("%s away", away[k]).isCloseTo(expected[k], within(0.02f));
    }
  }

  @Test
  void eachPickedColourCountsAndNoneSelectsNothing() {
    Picture red = Pictures.flat(1, 1, 0.8, 0.2, 0.2);
    Picture blue = Pictures.flat(1, 1, 0.2, 0.2, 0.8);
    Rule both = Pictures.rule("picked", Map.of("colours", List.of("#cc3333", "#3333CC")));
    assertThat(selected(red, both)[0]).isEqualTo(1);
    assertThat(selected(blue, both)[0]).isEqualTo(1);
    assertThat(selected(Pictures.flat(1, 1, 0.2, 0.8, 0.2), both)[0]).isEqualTo(0);
    assertThat(selected(red, Pictures.rule("picked", Map.of()))[0]).isEqualTo(0);
  }

  @Test
  void aColourThatIsNoneIsRefusedByName() {
    assertThatThrownBy(() -> Pictures.rule("picked", Map.of("colours", List.of("pinkish"))))
        .hasMessageContaining("Colours")
        .hasMessageContaining("“pinkish”");
    List<String> seven = java.util.Collections.nCopies(7, "#102030");
    assertThatThrownBy(() -> Pictures.rule("picked", Map.of("colours", seven)))
        .hasMessageContaining("7");
  }

  private static double mean(String photo, String region, Rule... rules) {
    Picture inside = Scaling.toLongSide(region(photo, region), 450);
    float[] w = selected(Scaling.toLongSide(Pictures.photo(photo), 450), rules);
    double sum = 0;
    double all = 0;
    for (int i = 0; i < w.length; i++) {
      sum += w[i] * inside.g()[i];
      all += inside.g()[i];
    }
    return sum / all;
  }

  /** People in even light, from pale to deep, at full size: recall and precision by weight. */
  @ParameterizedTest
  @ValueSource(
      strings = {
        "portrait-pale-skin-high-key",
        "portrait-light-skin-studio",
        "portrait-medium-skin-warm-studio",
        "portrait-brown-skin-window",
        "portrait-deep-skin-studio",
        "newborn-red-blotchy-skin",
        "newborn-brown-skin-even"
      })
  void skinOfEveryDepthIsFoundAndLittleElse(String photo) {
    Picture plain = Pictures.photo(photo);
    float[] w = selected(plain, Pictures.rule("skin", Map.of()));
    Picture found = Scaling.toLongSide(new Picture(plain.width(), plain.height(), w, w, w), 900);
    Picture skin = region(photo, "skin");
    double both = 0;
    double all = 0;
    double selected = 0;
    for (int i = 0; i < found.r().length; i++) {
      both += found.r()[i] * skin.g()[i];
      all += skin.g()[i];
      selected += found.r()[i];
    }
    assertThat(both / all).as("recall").isGreaterThanOrEqualTo(0.95);
    assertThat(both / selected).as("precision").isGreaterThanOrEqualTo(0.9);
  }

  private static Picture region(String photo, String region) {
    return PictureReader.read(
        Path.of("src/test/resources/regions/" + photo + "." + region + ".png"));
  }

  /** Clothes and walls, yellow, rust and cream; grass; red and yellow skin of the newborn. */
  @ParameterizedTest
  @CsvSource({
    "newborn-red-blotchy-skin, blanket, 0, 0.02",
    "portrait-light-skin-studio, clothing, 0, 0.02",
    "portrait-light-skin-studio, hair, 0, 0.2",
    "portrait-deep-skin-studio, background, 0, 0.05",
    "portrait-medium-skin-warm-studio, background, 0, 0.02",
    "portrait-medium-skin-warm-studio, clothing, 0, 0.02",
    "portrait-backlit-green-grass, grass, 0, 0.02"
  })
  void whatIsNoSkinIsLeft(String photo, String region, double least, double most) {
    assertThat(mean(photo, region, Pictures.rule("skin", Map.of()))).isBetween(least, most);
  }

  @Test
  void theGuardOfSkinKeepsAVeilOffIt() {
    Rule everything = Pictures.rule("brightness", Map.of("from", 0, "to", 100));
    Rule guard = Guard.ALL.get(2).rule();
    String photo = "portrait-light-skin-studio";
    assertThat(mean(photo, "skin", everything, guard)).isLessThan(0.15);
    assertThat(mean(photo, "clothing", everything, guard)).isGreaterThan(0.9);
  }

  @Test
  void theGuardsOfTonesKeepAVeilOffBlackOrWhiteAndLeaveTheMiddle() {
    Rule everything = Pictures.rule("brightness", Map.of("from", 0, "to", 100));
    float[] noShadows = selected(Pictures.ramp(101), everything, Guard.ALL.get(0).rule());
    float[] noLights = selected(Pictures.ramp(101), everything, Guard.ALL.get(1).rule());
    assertThat(noShadows[3]).isEqualTo(0);
    assertThat(noLights[97]).isEqualTo(0);
    assertThat(noShadows[50]).isEqualTo(1);
    assertThat(noLights[50]).isEqualTo(1);
  }
}
