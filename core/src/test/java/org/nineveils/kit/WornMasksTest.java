package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Rule;
import org.nineveils.mask.Stroke;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** Whatever is worn is brushed off and on and kept off something, whatever its own mask says. */
class WornMasksTest {
  private static final int W = 80;
  private static final int H = 60;
  private static final Picture PHOTO = Pictures.random(W, H, 3);
  private static final Veil LIGHT = Pictures.veil("light", Map.of("exposure", 1.0));
  private static final Veil RULED =
      Pictures.veil("tint", Map.of("colourise", 80))
          .withMask(new Mask(Cover.BY_RULE, List.of(Pictures.rule("shape", Map.of()))));
  private static final Effect LOOK = new Effect(List.of(LIGHT, RULED), "", 1);

  /** Hides the left half. */
  private static final Paint OFF =
      new Paint(List.of(new Stroke(List.of(0.25, -0.5, 0.25, 1.5), 0.5, 0, 1, 1, false)));

  private static Picture rendered(Worn worn) {
    return Renderer.render(PHOTO, new Fitting(List.of(worn)).stack(key -> LOOK));
  }

  private static Worn with(Map<String, Paint> paint, Map<String, Mask> masks) {
    return new Worn("look", 1, false, Map.of(), paint, false, masks);
  }

  private static boolean sameAt(Picture a, Picture b, int x, int y) {
    int i = y * W + x;
    return a.r()[i] == b.r()[i] && a.g()[i] == b.g()[i] && a.b()[i] == b.b()[i];
  }

  @Test
  void anEffectAsAWholeIsBrushedOff() {
    Picture all = rendered(with(Map.of(), Map.of()));
    Picture off = rendered(with(Map.of(Worn.WHOLE, OFF), Map.of()));
    assertThat(sameAt(off, PHOTO, 10, 30)).isTrue();
    assertThat(sameAt(all, PHOTO, 10, 30)).isFalse();
    assertThat(sameAt(off, all, 70, 30)).isTrue();
  }

  @Test
  void oneVeilOfItIsBrushedOffWhateverItsMask() {
    for (Veil veil : LOOK.veils()) {
      Picture off = rendered(with(Map.of(veil.id(), OFF), Map.of()));
      Effect without = LOOK.withVeils(LOOK.veils().stream().filter(v -> !v.equals(veil)).toList());
      Picture missing =
          Renderer.render(PHOTO, new Fitting(List.of(Worn.fresh("x"))).stack(k -> without));
      assertThat(sameAt(off, missing, 10, 30)).as(veil.name()).isTrue();
    }
  }

  @Test
  void aMaskOfTheFittingTakesThePlaceOfTheEffectsOwn() {
    Picture hidden = rendered(with(Map.of(), Map.of(Worn.WHOLE, Mask.BRUSH_ON)));
    assertThat(Pictures.same(hidden, PHOTO)).isTrue();
    Rule keptOff = Pictures.rule("brightness", Map.of("to", 60));
    Mask guarded = new Mask(Cover.BY_RULE, List.of(keptOff), 0, 10);
    Veil own = with(Map.of(), Map.of(LIGHT.id(), guarded)).changed(LIGHT, LOOK);
    assertThat(own.mask()).isEqualTo(guarded);
  }

  /** As if the effect held the veil twice, painted alike. */
  @Test
  void aDoubledVeilActsTwiceWhereItIsPainted() {
    Worn.VeilChange twice = new Worn.VeilChange(1, false, Map.of(), true);
    Map<String, Paint> paint = Map.of(LIGHT.id(), OFF);
    Worn worn = new Worn("look", 1, false, Map.of(LIGHT.id(), twice), paint);
    Veil second = LIGHT.withId("second");
    Effect double_ = new Effect(List.of(LIGHT, second, RULED), "", 1);
    Worn asMade = new Worn("look", 1, false, Map.of(), Map.of(LIGHT.id(), OFF, "second", OFF));
    Picture expected = Renderer.render(PHOTO, new Fitting(List.of(asMade)).stack(key -> double_));
    assertThat(Pictures.same(rendered(worn), expected)).isTrue();
    String json = Json.write(FittingJson.format(new Fitting(List.of(worn.unpainted()))));
    assertThat(FittingJson.parse(Json.read(json, "")).worn().get(0).isDoubled(LIGHT.id())).isTrue();
    Combination kept =
        Combination.of(
            new Fitting(List.of(worn)),
            List.of(new Combination.Pick("look", java.util.Set.of(LIGHT.id(), RULED.id()), true)),
            key -> LOOK,
            "");
    assertThat(kept.effect().veils()).hasSize(3);
    assertThat(kept.effect().veils().get(1).mask()).isEqualTo(Mask.as("k1"));
  }

  @Test
  void masksOfAFittingComeBackFromItsDocument() {
    Mask soft = new Mask(Cover.EVERYWHERE, List.of(), 0, 12);
    Fitting fitting = new Fitting(List.of(with(Map.of(), Map.of(LIGHT.id(), soft))));
    String json = Json.write(FittingJson.format(fitting));
    assertThat(FittingJson.parse(Json.read(json, "The fitting"))).isEqualTo(fitting);
  }

  @Test
  void inAFittingNoMaskFollowsAnother() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> with(Map.of(), Map.of(LIGHT.id(), Mask.as(RULED.id()))))
        .withMessageContaining("follows no other veil");
  }

  @Test
  void aStackWithoutAnyOfThisIsTheEffectsOwn() {
    Picture plain = Renderer.render(PHOTO, Stack.of(org.nineveils.stack.Bundle.of(LOOK.veils())));
    assertThat(Pictures.same(rendered(with(Map.of(), Map.of())), plain)).isTrue();
  }
}
