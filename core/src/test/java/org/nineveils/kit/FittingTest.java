package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.nineveils.kit.Fitting.Answer;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.name.Names;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class FittingTest {
  private static final Map<String, Offer> OFFERS = new LinkedHashMap<>();

  static {
    Stream.of(
            new Offer("third", "Third", 1, "Groundwork", StackingRule.ONE_AT_A_TIME, 1),
            new Offer("milk", "Milk", 2, "Looks", StackingRule.ONE_AT_A_TIME, 1),
            new Offer("oat", "Oat", 2, "Looks", StackingRule.ONE_AT_A_TIME, 2),
            new Offer("red", "Redness", 3, "By brush", StackingRule.STACK_FREELY, 1),
            new Offer("lips", "Lips", 3, "By brush", StackingRule.STACK_FREELY, 2),
            new Offer("warm", "Warm", 4, "Colour", StackingRule.COLOUR_LOOK, 1),
            new Offer("slate", "Slate", 5, "Mono", StackingRule.BLACK_AND_WHITE, 1))
        .forEach(o -> OFFERS.put(o.key(), o));
  }

  private static Effect nothing(String key) {
    return null;
  }

  private static Fitting wearing(String... keys) {
    Fitting fitting = Fitting.plain();
    for (String key : keys) {
      fitting = fitting.wear(OFFERS.get(key), OFFERS, FittingTest::nothing, Answer.NONE).fitting();
    }
    return fitting;
  }

  private static List<String> keys(Fitting fitting) {
    return fitting.worn().stream().map(Worn::effect).toList();
  }

  @Test
  void orderComesFromTheSectionsNeverFromTheClicks() {
    assertThat(keys(wearing("lips", "milk", "red", "third")))
        .containsExactly("third", "milk", "red", "lips");
  }

  @Test
  void oneAtATimeReplacesAndSaysSo() {
    Fitting.Change change =
        wearing("third", "milk").wear(OFFERS.get("oat"), OFFERS, FittingTest::nothing, Answer.NONE);
    assertThat(keys(change.fitting())).containsExactly("third", "oat");
    assertThat(change.said()).contains("“Oat” took the place of “Milk”").contains("section 2");
  }

  @Test
  void stackFreelyAddsWithoutAWord() {
    Fitting.Change change =
        wearing("red").wear(OFFERS.get("lips"), OFFERS, FittingTest::nothing, Answer.NONE);
    assertThat(keys(change.fitting())).containsExactly("red", "lips");
    assertThat(change.said()).isEmpty();
  }

  @Test
  void aBlackAndWhiteNeverSitsOverAColourLookWhicheverComesFirst() {
    Fitting.Change mono =
        wearing("red", "warm").wear(OFFERS.get("slate"), OFFERS, FittingTest::nothing, Answer.NONE);
    assertThat(keys(mono.fitting())).containsExactly("red", "slate");
    assertThat(mono.said()).contains("“Slate” took off “Warm”");
    Fitting.Change colour =
        mono.fitting().wear(OFFERS.get("warm"), OFFERS, FittingTest::nothing, Answer.NONE);
    assertThat(keys(colour.fitting())).containsExactly("red", "warm");
  }

  @Test
  void aWholeSectionGoesOnToPickFromLiftedOrByBrush() {
    Fitting.Change lifted = wearing("lips").wearAll(3, true, OFFERS, FittingTest::nothing);
    assertThat(keys(lifted.fitting())).containsExactly("red", "lips");
    assertThat(lifted.fitting().worn().get(0).lifted()).isTrue();
    assertThat(lifted.fitting().worn().get(1).lifted()).isFalse();
    assertThat(lifted.said()).startsWith("1 effect went on");
    Worn byBrush =
        Fitting.plain().wearAll(3, false, OFFERS, FittingTest::nothing).fitting().worn().get(0);
    assertThat(byBrush.byBrush()).isTrue();
    Effect effect = new Effect(List.of(Pictures.veil("light", Map.of("exposure", 1))), "", 1);
    Picture photo = Pictures.random(30, 20, 5);
    Stack unpainted = Stack.of(byBrush.bundle(effect));
    assertThat(Pictures.same(Renderer.render(photo, unpainted), photo)).isTrue();
  }

  @Test
  void effectsOfASectionGoOnAtTheirStartOpacity() {
    Effect quarter = new Effect(List.of(), "", 1, List.of(), 0.25, List.of());
    Fitting worn = Fitting.plain().wearAll(3, true, OFFERS, key -> quarter).fitting();
    assertThat(worn.worn()).isNotEmpty().allMatch(w -> w.opacity() == 0.25);
  }

  private static float atTheMiddle(Bundle bundle) {
    Picture photo = Pictures.flat(40, 40, 0.3, 0.4, 0.5);
    return Renderer.render(photo, Stack.of(bundle)).g()[20 * 40 + 20];
  }

  /** Every veil once got the same paint, so half a stroke acted once for each. */
  @Test
  void halfABrushOnAWholeEffectIsHalfOfTheEffect() {
    Veil shape =
        Pictures.veil("curve", Map.of("gamma", 2))
            .withMask(new Mask(Cover.BY_RULE, List.of(Pictures.rule("brightness", Map.of()))));
    Veil waits = Pictures.veil("colour", Map.of("saturation", 40)).withMask(Mask.BRUSH_ON);
    List<Veil> veils = List.of(Pictures.veil("light", Map.of("exposure", 1)), shape, waits);
    Effect effect = new Effect(veils, "", 1);
    Paint half = new Paint(List.of(new Stroke(List.of(0.5, 0.5), 0.8, 0, 0.5, 1, true)));
    Worn brushed = new Worn("e", 1, false, Map.of(), Map.of(Worn.WHOLE, half), true);
    List<Veil> shown = List.of(veils.get(0), shape, waits.withMask(Mask.EVERYWHERE));
    float wanted = atTheMiddle(new Bundle(shown, Map.of(), 0.5));
    assertThat(atTheMiddle(brushed.bundle(effect))).isEqualTo(wanted, within(1e-6f));
    assertThat(wanted).isGreaterThan(0.41f);

    Paint off = new Paint(List.of(new Stroke(List.of(0.5, 0.5), 0.8, 0, 0.5, 1, false)));
    Worn brushedOff = new Worn("e", 1, false, Map.of(), Map.of(Worn.WHOLE, off));
    float halfOff = atTheMiddle(new Bundle(List.of(veils.get(0), shape), Map.of(), 0.5));
    assertThat(atTheMiddle(brushedOff.bundle(effect))).isEqualTo(halfOff, within(1e-6f));
  }

  @Test
  void aTurnedDialGoesNoFartherThanItsRangeAndOnlyWhereTheEffectStillHasIt() {
    Veil light = Pictures.veil("light", Map.of("exposure", 1));
    Dial dial = new Dial("v-light", "exposure", "Light", 0, 2);
    Effect effect = new Effect(List.of(light), "", 1, List.of(dial));
    Worn.VeilChange turned =
        new Worn.VeilChange(1, false, Map.of("exposure", 4.0, "contrast", 50.0));
    Worn worn = new Worn("red", 1, false, Map.of("v-light", turned), Map.of());
    assertThat(worn.bundle(effect).veils().get(0).settings().format())
        .containsEntry("exposure", 2.0)
        .containsEntry("contrast", 0.0);
    assertThat(worn.bundle(new Effect(List.of(light), "", 1)).veils()).containsExactly(light);
  }

  @Test
  void anEffectIsWornOnlyOnce() {
    Fitting.Change change =
        wearing("red").wear(OFFERS.get("red"), OFFERS, FittingTest::nothing, Answer.NONE);
    assertThat(keys(change.fitting())).containsExactly("red");
    assertThat(change.said()).contains("already on");
    Worn red = Worn.fresh("red");
    assertThatIllegalArgumentException().isThrownBy(() -> new Fitting(List.of(red, red)));
  }

  @Test
  void takingOffLeavesTheOthers() {
    assertThat(keys(wearing("third", "milk", "red").without("milk")))
        .containsExactly("third", "red");
  }

  @Test
  void anEffectThatNoLongerExistsIsLeftOutOfThePicture() {
    Effect effect = new Effect(List.of(Pictures.veil("light", Map.of("exposure", 1))), "", 1);
    var stack = wearing("third", "red").stack(key -> key.equals("red") ? effect : null);
    assertThat(stack.bundles()).hasSize(1);
    assertThat(stack.bundles().get(0).veils()).hasSize(1);
  }

  @Test
  void changesAndPaintOfAFittingNeverTouchTheEffect() {
    Effect effect = new Effect(List.of(Pictures.veil("light", Map.of("exposure", 1))), "", 1);
    Stroke stroke = new Stroke(List.of(0.5, 0.5), 0.1, 0, 1, 1, true);
    Worn worn =
        new Worn("red", 0.7, false, Map.of("v-light", new Worn.VeilChange(0.4, true)), Map.of())
            .painted("v-light", new Paint(List.of(stroke)));
    var bundle = worn.bundle(effect);
    assertThat(bundle.opacity()).isEqualTo(0.7);
    assertThat(bundle.veils().get(0).opacity()).isEqualTo(0.4);
    assertThat(bundle.veils().get(0).lifted()).isTrue();
    assertThat(bundle.paint()).containsKey("v-light");
    assertThat(effect.veils().get(0).opacity()).isEqualTo(1);
  }

  @Test
  void aLiftedEffectHasNoOpacityInThePicture() {
    Worn lifted = new Worn("red", 1, true, Map.of(), Map.of());
    assertThat(lifted.bundle(Effect.empty()).opacity()).isZero();
  }

  @Test
  void anOpacityOf300PerCentIsRefused() {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> new Worn("red", 3, false, Map.of(), Map.of()))
        .withMessageContaining("between 0 and 100 %")
        .withMessageContaining("300");
  }

  @ParameterizedTest
  @ValueSource(strings = {"1", "1.0", "1.0.2", "2.0-beta"})
  void versionsAreUpToThreeNumbersAndAWord(String version) {
    assertThat(Names.checkVersion(" " + version)).isEqualTo(version);
  }

  @ParameterizedTest
  @ValueSource(strings = {"", "one", "1.0.0.0", "1,0", "1.0 final"})
  void otherVersionsAreRefused(String version) {
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Names.checkVersion(version))
        .withMessageContaining("such as 1.0.2");
  }

  @Test
  void namesAreTrimmedAndBounded() {
    assertThat(Names.check("A kit", "  First weeks ")).isEqualTo("First weeks");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Names.check("A kit", " "))
        .withMessage("A kit needs a name.");
    assertThatIllegalArgumentException()
        .isThrownBy(() -> Names.check("A kit", "x".repeat(61)))
        .withMessageContaining("60");
    assertThatIllegalArgumentException().isThrownBy(() -> Names.check("A kit", "two\nlines"));
  }

  @Test
  void namesOfFilesAreHarmlessOnEverySystem() {
    assertThat(Names.slug("Crème brûlée / 2: ../x")).isEqualTo("creme-brulee-2-x");
    assertThat(Names.slug("…")).isEqualTo("unnamed");
  }

  private static Fitting.Change worn(boolean asks, Fitting.Answer answer) {
    Offer milk = new Offer("milk", "Milk", 2, "Looks", StackingRule.STACK_FREELY, 1);
    Offer frost =
        new Offer(
            "frost",
            "Frost",
            6,
            "Winter",
            StackingRule.STACK_FREELY,
            1,
            List.of(new Against(2, asks)));
    Map<String, Offer> offers = Map.of("milk", milk, "frost", frost);
    Fitting on = Fitting.plain().wear(frost, offers, k -> null, Fitting.Answer.NONE).fitting();
    return on.wear(milk, offers, k -> null, answer);
  }

  @Test
  void sectionsThatTheMakerSetAgainstOneAnotherTakeEachOtherOffWhicheverSaysSo() {
    Fitting.Change change = worn(false, Fitting.Answer.NONE);
    assertThat(change.fitting().worn()).extracting(Worn::effect).containsExactly("milk");
    assertThat(change.said()).contains("“Milk” took off “Frost”", "Looks and Winter");
  }

  @Test
  void whereTheyAskNothingChangesUntilItIsAnswered() {
    Fitting.Change asked = worn(true, Fitting.Answer.NONE);
    assertThat(asked.asks()).containsExactly("frost");
    assertThat(asked.fitting().worn()).extracting(Worn::effect).containsExactly("frost");
    assertThat(worn(true, Fitting.Answer.BOTH).fitting().worn())
        .extracting(Worn::effect)
        .containsExactly("milk", "frost");
    assertThat(worn(true, Fitting.Answer.INSTEAD).fitting().worn())
        .extracting(Worn::effect)
        .containsExactly("milk");
  }

  @Test
  void aSectionIsResetToHowItWentOnAndTheOthersStay() {
    Offer milk = new Offer("milk", "Milk", 2, "Looks", StackingRule.STACK_FREELY, 1);
    Offer red = new Offer("red", "Redness", 3, "By brush", StackingRule.STACK_FREELY, 1);
    Fitting on =
        new Fitting(
            List.of(
                new Worn("milk", 0.2, true, Map.of(), Map.of(), false),
                new Worn("red", 0.3, false, Map.of(), Map.of(), false)));
    Effect start = Effect.empty().startingAt(0.6);
    Fitting reset = on.withSectionFresh(2, Map.of("milk", milk, "red", red), key -> start);
    assertThat(reset.worn().get(0)).isEqualTo(Worn.fresh("milk", 0.6));
    assertThat(reset.worn().get(1)).isEqualTo(on.worn().get(1));
  }
}
