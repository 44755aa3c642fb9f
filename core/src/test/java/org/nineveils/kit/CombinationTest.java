package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.nineveils.kit.Combination.Pick;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class CombinationTest {
  private static final Veil LIGHT = Pictures.veil("light", Map.of("exposure", 0.5));
  private static final Veil TINT = Pictures.veil("tint", Map.of("colourise", 60));
  private static final Veil CRISP =
      Pictures.veil("crisp", Map.of("sharp", 90)).withMask(Mask.BRUSH_ON);
  private static final Map<String, Effect> EFFECTS =
      Map.of(
          "third",
          new Effect(
              List.of(LIGHT), "", 1, List.of(new Dial("v-light", "exposure", "Light", 0, 1))),
          "look",
          new Effect(List.of(TINT, CRISP), "", 1));

  private static Worn worn(String key, double opacity, Map<String, Paint> paint) {
    return new Worn(key, opacity, false, Map.of(), paint);
  }

  private static Combination made(List<Worn> worn, Pick... picks) {
    return Combination.of(new Fitting(worn), List.of(picks), EFFECTS::get, "kept");
  }

  /** With one veil of each effect, the kept effect gives the picture of the fitting exactly. */
  @Test
  void singleVeilsKeptAsWornGiveTheSamePicture() {
    Fitting fitting =
        new Fitting(List.of(worn("third", 0.6, Map.of()), worn("look", 0.4, Map.of())));
    Combination kept =
        made(
            fitting.worn(),
            new Pick("third", Set.of("v-light"), true),
            new Pick("look", Set.of("v-tint"), true));
    Picture photo = Pictures.random(60, 40, 5);
    Picture asWorn = Renderer.render(photo, fitting.stack(EFFECTS::get));
    Picture asKept = Renderer.render(photo, Stack.of(Bundle.of(kept.effect().veils())));
    assertThat(Pictures.farthest(asWorn, asKept)).isLessThan(1e-5);
    assertThat(kept.said()).isEmpty();
  }

  @Test
  void ordersAreThoseOfTheFittingAndDialsFollowTheirVeils() {
    Combination kept =
        made(
            List.of(worn("third", 1, Map.of()), worn("look", 1, Map.of())),
            new Pick("look", Set.of("v-crisp", "v-tint"), true),
            new Pick("third", Set.of("v-light"), true));
    assertThat(kept.effect().veils())
        .extracting(v -> v.kind().id())
        .containsExactly("light", "tint", "crisp");
    assertThat(kept.effect().dials())
        .containsExactly(new Dial(kept.effect().veils().get(0).id(), "exposure", "Light", 0, 1));
  }

  @Test
  void paintIsLeftOutAndSaidSo() {
    Map<String, Paint> paint = Map.of("v-crisp", Paint.filled(true), "v-tint", Paint.filled(false));
    Combination kept =
        made(List.of(worn("look", 1, paint)), new Pick("look", Set.of("v-crisp", "v-tint"), true));
    assertThat(kept.effect().veils())
        .extracting(v -> v.mask().cover())
        .containsExactly(Cover.EVERYWHERE, Cover.BRUSH_ON);
    assertThat(kept.said()).hasSize(2);
    assertThat(kept.said().get(0)).contains("covers everything", "left out");
    assertThat(kept.said().get(1)).contains("is brush-on");
  }

  @Test
  void aVeilFollowsWhatCameAlongAndElseKeepsItsMask() {
    Veil eyes = Pictures.veil("light", Map.of("exposure", 0.5)).withMask(Mask.BRUSH_ON);
    Veil more = Pictures.veil("crisp", Map.of("sharp", 90)).withMask(Mask.as(eyes.id()));
    Effect effect = new Effect(List.of(eyes, more), "", 1);
    Fitting fitting = new Fitting(List.of(Worn.fresh("eyes")));
    Pick both = new Pick("eyes", Set.of(eyes.id(), more.id()), true);
    List<Veil> veils = Combination.of(fitting, List.of(both), key -> effect, "").effect().veils();
    assertThat(veils.get(1).mask()).isEqualTo(Mask.as(veils.get(0).id()));
    Pick one = new Pick("eyes", Set.of(more.id()), true);
    veils = Combination.of(fitting, List.of(one), key -> effect, "").effect().veils();
    assertThat(veils.get(0).mask()).isEqualTo(Mask.BRUSH_ON);
  }

  @Test
  void asMadeLeavesOutWhatTheFittingChanged() {
    Worn changed =
        new Worn("third", 0.3, false, Map.of("v-light", new Worn.VeilChange(0.5, true)), Map.of());
    Veil asMade =
        made(List.of(changed), new Pick("third", Set.of("v-light"), false)).effect().veils().get(0);
    assertThat(asMade.opacity()).isEqualTo(1);
    assertThat(asMade.lifted()).isFalse();
    Veil asWorn =
        made(List.of(changed), new Pick("third", Set.of("v-light"), true)).effect().veils().get(0);
    assertThat(asWorn.opacity()).isEqualTo(0.15);
    assertThat(asWorn.lifted()).isTrue();
  }

  @Test
  void anOpacityOverSeveralVeilsIsSharedAndSaid() {
    Combination kept =
        made(
            List.of(worn("look", 0.5, Map.of())),
            new Pick("look", Set.of("v-crisp", "v-tint"), true));
    assertThat(kept.said()).hasSize(1);
    assertThat(kept.said().get(0)).contains("50 %");
  }

  @Test
  void nothingTickedIsRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(
            () -> made(List.of(worn("look", 1, Map.of())), new Pick("look", Set.of(), true)))
        .withMessageContaining("Tick at least one veil");
  }
}
