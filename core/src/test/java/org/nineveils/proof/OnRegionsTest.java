package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.mask.Guard;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Rule;
import org.nineveils.picture.Picture;
import org.nineveils.proof.measure.Measures;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Plain;
import org.nineveils.proof.measure.Reading;
import org.nineveils.region.PhotoTags;
import org.nineveils.region.WallGaps;
import org.nineveils.setting.SettingValues;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Editions;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

class OnRegionsTest {
  private static final int W = 90;
  private static final int H = 60;
  private static final Picture GREY = Pictures.flat(W, H, 0.4, 0.4, 0.4);

  private static Veil veil(String id, double exposure, Mask mask, String meantFor) {
    VeilKind kind = Kinds.ofId("light");
    SettingValues values = SettingValues.parse(kind.settings(), Map.of("exposure", exposure));
    return new Veil(id, "Veil " + id, kind, values, BlendMode.NORMAL, 1, false, mask, meantFor);
  }

  private static Effect effect(Veil... veils) {
    return new Effect(List.of(veils), "", Editions.current());
  }

  /** The left half. */
  private static Map<String, float[]> left(String name) {
    float[] cover = new float[W * H];
    for (int i = 0; i < cover.length; i++) {
      cover[i] = i % W < W / 2 ? 1 : 0;
    }
    return Map.of(name, cover);
  }

  private static Picture rendered(Effect effect, Map<String, Paint> paint) {
    Effect dressed = OnRegions.dressed(effect, paint, left("lips"), GREY);
    Stack stack = Stack.of(Bundle.of(dressed, paint));
    return Renderer.render(GREY, GREY.area(), stack, Manner.exact());
  }

  @Test
  void aBrushOnVeilIsTriedOnItsRegionWithASoftEdge() {
    Picture out = rendered(effect(veil("a", 1, Mask.BRUSH_ON, "Lips")), Map.of());
    int row = 30 * W;
    assertThat(out.r()[row + 10]).isGreaterThan(0.5f);
    assertThat(out.r()[row + 80]).isEqualTo(0.4f);
    assertThat(out.r()[row + W / 2]).as("at the edge").isBetween(0.401f, out.r()[row + 10]);
    Effect other = effect(veil("a", 1, Mask.BRUSH_ON, "eyes"));
    assertThat(rendered(other, Map.of()).r()).containsOnly(0.4f);
  }

  @Test
  void whatPaintCountsByCountsForTheRegionTooAndAFollowerGoesWithIt() {
    Rule dark = Guard.ALL.get(0).rule(); // keeps off shadows: nothing here is one
    Veil ruled = veil("a", 1, Mask.BRUSH_ON.keptOff(dark), "lips");
    Picture out = rendered(effect(ruled), Map.of());
    assertThat(out.r()[30 * W + 10]).isGreaterThan(0.5f);
    Picture two = rendered(effect(ruled, veil("b", 1, Mask.as("a"), "")), Map.of());
    assertThat(two.r()[30 * W + 10]).isGreaterThan(out.r()[30 * W + 10]);
    assertThat(two.r()[30 * W + 80]).isEqualTo(0.4f);
  }

  @Test
  void aCellSaysWhatThePhotoLacks() {
    Effect lips = effect(veil("a", 1, Mask.BRUSH_ON, "lips"), veil("b", 1, Mask.BRUSH_ON, "eyes"));
    OnRegions one = OnRegions.of(lips, Set.of(), List.of("Lips", "skin"));
    assertThat(one.acts()).containsExactly("Lips");
    assertThat(one.isHidden()).isFalse();
    assertThat(one.lacking()).isEqualTo("no eyes here");
    OnRegions none = OnRegions.of(lips, Set.of(), List.of("fur"));
    assertThat(none.why()).isEqualTo("no lips or eyes here");
    assertThat(OnRegions.of(lips, Set.of("a"), List.of("fur")).isHidden())
        .as("it was painted there by hand")
        .isFalse();
    Effect anywhere = effect(veil("a", 1, Mask.BRUSH_ON, ""));
    assertThat(OnRegions.of(anywhere, Set.of(), List.of("lips")).why())
        .isEqualTo("brushed on, and meant for no region");
    assertThat(
            OnRegions.of(effect(veil("a", 1, Mask.EVERYWHERE, "lips")), Set.of(), List.of()).why())
        .isEmpty();
  }

  /** The light veil blows what the dark one would have held. */
  @Test
  void theVeilThatMovesAMeasureMostIsFoundByTakingItAway() {
    Picture light = Pictures.flat(W, H, 0.8, 0.8, 0.8);
    Plain plain = new Plain(light, Map.of());
    var blown = Measures.ofId("blown").orElseThrow();
    Effect effect =
        effect(
            veil("dark", -0.2, Mask.EVERYWHERE, ""),
            veil("bright", 2, Mask.EVERYWHERE, ""),
            veil("up", 1, Mask.EVERYWHERE, "").withLifted(true));
    var measured =
        (java.util.function.Function<Effect, Reading>)
            e ->
                blown.of(
                    new Pair(
                        plain,
                        Renderer.render(
                            light,
                            light.area(),
                            Stack.of(Bundle.of(e, Map.of())),
                            Manner.exact())));
    List<Culprit> all = Culprit.of(blown, measured.apply(effect), effect, measured);
    assertThat(all).extracting(Culprit::veil).containsExactly("bright", "dark");
    assertThat(all.get(0).by()).isEqualTo(100);
    assertThat(all.get(1).by()).isZero();
  }

  /** Half a guard leaves half of a veil on skin, and all of it elsewhere. */
  @Test
  void aVeilIsKeptOffSkinByAnAmountAndCoversTheRestAsBefore() {
    Picture photo = Pictures.photo("portrait-light-skin-studio");
    float[] skin = Guard.skinOf(photo);
    int on = 0;
    int off = 0;
    for (int i = 0; i < skin.length; i++) {
      on = skin[i] > 0.999f ? i : on;
      off = skin[i] == 0 ? i : off;
    }
    Effect plain = effect(veil("a", 1, Mask.EVERYWHERE, ""), veil("b", 0, Mask.as("a"), ""));
    Picture all = through(photo, plain);
    Picture half = through(photo, KeptOff.skin(plain, List.of("b"), 50));
    Picture none =
        through(photo, KeptOff.skin(KeptOff.skin(plain, List.of("a"), 50), List.of("a"), 100));
    assertThat(half.r()[off]).isEqualTo(all.r()[off]);
    assertThat(none.r()[off]).isEqualTo(all.r()[off]);
    float middle = (photo.r()[on] + all.r()[on]) / 2;
    assertThat((double) half.r()[on]).isCloseTo(middle, within(2e-3));
    assertThat((double) none.r()[on]).isCloseTo(photo.r()[on], within(2e-3));
    assertThat(KeptOff.skin(plain, List.of("a"), 0)).isEqualTo(plain);
  }

  private static Picture through(Picture photo, Effect effect) {
    return Renderer.render(
        photo, photo.area(), Stack.of(Bundle.of(effect, Map.of())), Manner.exact());
  }

  /** A bundle at an opacity is what lies between the plain picture and the whole of it. */
  @Test
  void anOpacityIsMixedAsTheRendererMixesIt() {
    Picture photo = Pictures.photo("pet-ginger-cat");
    Effect bright = effect(veil("a", 1, Mask.EVERYWHERE, ""));
    Picture mixed = Mixed.of(photo, through(photo, bright), 0.37);
    Picture own = through(photo, bright.startingAt(0.37));
    for (int i = 0; i < own.r().length; i += 97) {
      assertThat(mixed.g()[i]).isCloseTo(own.g()[i], within(2e-6f));
    }
  }

  @Test
  void anEffectIsMadeForPhotosThatHaveATagOfEachGroupItNames() {
    List<String> darkPeople = List.of("newborn", "portrait", "too dark");
    assertThat(PhotoTags.suit(darkPeople, List.of("Portrait", "too dark", "back light"))).isTrue();
    assertThat(PhotoTags.suit(darkPeople, List.of("portrait"))).isFalse();
    assertThat(PhotoTags.suit(darkPeople, List.of("pet", "too dark"))).isFalse();
    assertThat(PhotoTags.suit(List.of("Willow walk"), List.of("willow WALK"))).isTrue();
    assertThat(PhotoTags.suit(List.of(), List.of())).isTrue();
  }

  @Test
  void whatAWallLacksIsCountedAndTheGapsOfItsRarestSubjectsAreNamed() {
    List<String> subjects = List.of("tan skin", "dark skin", "fur");
    WallGaps gaps =
        WallGaps.of(
            subjects,
            List.of(
                new WallGaps.Held("tan skin", List.of("even light", "too dark")),
                new WallGaps.Held("tan skin", List.of("Even light", "back light")),
                new WallGaps.Held("fur", List.of("even light")),
                new WallGaps.Held("", List.of("colour cast"))));
    assertThat(gaps.lights()).contains("even light", "back light", "too dark", "colour cast");
    assertThat(gaps.counts().get(gaps.lights().indexOf("even light"))).containsExactly(2, 0, 1);
    assertThat(gaps.counts().get(gaps.lights().indexOf("colour cast"))).containsExactly(0, 0, 0);
    assertThat(gaps.mostMissed()).hasSize(3).first().asString().startsWith("dark skin");
    List<WallGaps.Held> whole =
        gaps.lights().stream()
            .flatMap(l -> subjects.stream().map(s -> new WallGaps.Held(s, List.of(l))))
            .toList();
    assertThat(WallGaps.of(subjects, whole).mostMissed()).isEmpty();
  }

  @Test
  void aDifferenceIsEightTimesAsStrongAndNeverMoreThanWhite() {
    Picture a = Pictures.flat(4, 2, 0.5, 0.5, 0.5);
    Picture b = Pictures.flat(4, 2, 0.55, 0.5, 0.1);
    Picture d = Difference.of(a, b);
    assertThat(d.r()[3]).isCloseTo(0.4f, within(1e-5f));
    assertThat(Arrays.copyOf(d.g(), 8)).containsOnly(0);
    assertThat(d.b()[0]).isEqualTo(1);
  }
}
