package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.kit.Worn.VeilChange;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Renderer;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** Between two looks: numbers in a straight line, whatever cannot be halved of the nearer one. */
class MixTest {
  private static final Picture PHOTO = Pictures.random(40, 30, 7);
  private static final Veil LIGHT = Pictures.veil("light", Map.of("exposure", 1.0));
  private static final Effect BRIGHT =
      new Effect(
          List.of(LIGHT.withOpacity(0.8)),
          "",
          1,
          List.of(new Dial(LIGHT.id(), "exposure", "Light", 0, 2)));
  private static final Map<String, Effect> EFFECTS =
      Map.of(
          "bright",
          BRIGHT,
          "brown",
          new Effect(List.of(Pictures.veil("tint", Map.of("colourise", 80))), "", 1));
  private static final Map<String, Offer> OFFERS =
      Map.of(
          "bright", new Offer("bright", "Bright", 1, "Ground", StackingRule.STACK_FREELY, 1),
          "brown", new Offer("brown", "Brown", 2, "Looks", StackingRule.ONE_AT_A_TIME, 1));

  private static Fitting of(Worn... worn) {
    return new Fitting(List.of(worn));
  }

  private static Worn worn(String key, double opacity, boolean lifted) {
    return new Worn(key, opacity, lifted, Map.of(), Map.of());
  }

  private static Worn changed(String key, VeilChange change) {
    return new Worn(key, 1, false, Map.of(LIGHT.id(), change), Map.of());
  }

  private static Fitting mixed(Fitting a, Fitting b, double share) {
    return Mix.of(a, b, share, OFFERS, EFFECTS::get);
  }

  private static Picture seen(Fitting fitting) {
    return Renderer.render(PHOTO, fitting.stack(EFFECTS::get));
  }

  @Test
  void atItsEndsAMixIsOneOfTheTwo() {
    Fitting a = of(worn("brown", 0.7, true));
    Fitting b = of(worn("bright", 0.2, false));
    assertThat(mixed(a, b, 0)).isEqualTo(a);
    assertThat(mixed(a, b, 1)).isEqualTo(b);
  }

  /**
   * One veil that moves no place: opacity is linear, so the picture is on the straight line too.
   */
  @ParameterizedTest
  @ValueSource(doubles = {0.2, 0.5, 0.9})
  void ofOneLookAtTwoStrengthsThePictureLiesBetween(double share) {
    Picture weak = seen(of(worn("brown", 0.2, false)));
    Picture strong = seen(of(worn("brown", 0.9, false)));
    Picture mix = seen(mixed(of(worn("brown", 0.2, false)), of(worn("brown", 0.9, false)), share));
    for (int i = 0; i < PHOTO.r().length; i++) {
      double line = weak.g()[i] + (strong.g()[i] - weak.g()[i]) * share;
      assertThat((double) mix.g()[i]).isCloseTo(line, within(1e-5));
    }
  }

  @Test
  void whatOneOfThemDoesNotWearFadesAndStandsInItsSection() {
    Fitting mix = mixed(of(worn("brown", 0.8, false)), of(worn("bright", 0.4, false)), 0.25);
    assertThat(mix.worn()).extracting(Worn::effect).containsExactly("bright", "brown");
    assertThat(mix.worn()).extracting(Worn::opacity).containsExactly(0.1, 0.8 * 0.75);
  }

  @Test
  void liftedCountsAsNothingUnlessBothAre() {
    Fitting on = of(worn("brown", 0.8, false));
    Fitting off = of(worn("brown", 0.6, true));
    Worn half = mixed(on, off, 0.5).worn().get(0);
    assertThat(half.lifted()).isFalse();
    assertThat(half.opacity()).isEqualTo(0.4);
    Worn none = mixed(off, of(worn("brown", 0.2, true)), 0.5).worn().get(0);
    assertThat(none.lifted()).isTrue();
    assertThat(none.opacity()).isCloseTo(0.4, within(1e-12));
  }

  /** What a side never touched stands where the effect has it, not at nothing. */
  @Test
  void aVeilAndADialThatOneSideNeverTouchedStartAtTheEffectsOwn() {
    VeilChange change = new VeilChange(0.4, false, Map.of("exposure", 2.0));
    Fitting touched = of(changed("bright", change));
    for (Fitting mix :
        List.of(
            mixed(touched, of(worn("bright", 1, false)), 0.5),
            mixed(of(worn("bright", 1, false)), touched, 0.5))) {
      VeilChange half = mix.worn().get(0).changes().get(LIGHT.id());
      assertThat(half.opacity()).isCloseTo((0.4 + 0.8) / 2, within(1e-12));
      assertThat(half.dials()).containsEntry("exposure", 1.5);
    }
  }

  @Test
  void masksPaintAndVeilsHungTwiceAreOfTheNearerOne() {
    Map<String, Paint> paint = Map.of(Worn.WHOLE, Paint.filled(true));
    Worn brushed =
        new Worn("brown", 1, false, Map.of(), paint, true, Map.of(Worn.WHOLE, Mask.BRUSH_ON));
    Worn plain = worn("brown", 1, false);
    assertThat(mixed(of(brushed), of(plain), 0.4).worn()).containsExactly(brushed);
    assertThat(mixed(of(brushed), of(plain), 0.6).worn()).containsExactly(plain);
    VeilChange twice = new VeilChange(0.8, false, Map.of(), true);
    Fitting doubled = of(changed("bright", twice));
    Fitting once = of(worn("bright", 1, false));
    assertThat(mixed(doubled, once, 0.3).worn().get(0).isDoubled(LIGHT.id())).isTrue();
    assertThat(mixed(doubled, once, 0.7).worn().get(0).isDoubled(LIGHT.id())).isFalse();
  }

  @Test
  void anEffectThatIsGoneIsStillMixed() {
    Fitting a = of(new Worn("gone", 1, false, Map.of("x", new VeilChange(0.5, false)), Map.of()));
    assertThat(mixed(a, of(worn("gone", 0.5, false)), 0.5).worn().get(0).opacity()).isEqualTo(0.75);
  }

  @Test
  void aShareOutOfRangeAndTooMuchTogetherAreRefused() {
    for (double share : new double[] {-0.01, 1.01, Double.NaN}) {
      assertThatIllegalArgumentException()
          .isThrownBy(() -> mixed(of(), of(), share))
          .withMessageContaining("between 0 and 1");
    }
    List<Worn> many = new ArrayList<>();
    List<Worn> others = new ArrayList<>();
    for (int i = 0; i < Fitting.MAX_WORN; i++) {
      many.add(worn("a" + i, 1, false));
      others.add(worn("b" + i, 1, false));
    }
    assertThatIllegalArgumentException()
        .isThrownBy(
            () ->
                Mix.of(
                    new Fitting(many),
                    new Fitting(others),
                    0.5,
                    new LinkedHashMap<>(),
                    EFFECTS::get))
        .withMessageContaining("at most 40 effects");
  }
}
