package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Rule;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/**
 * Dials that turn a rule of a veil's mask: the spot is the photographer's, the look the maker's.
 */
class RuleDialsTest {
  private static final Veil SPOT =
      Pictures.veil("light", Map.of("exposure", 1))
          .withMask(
              ruled(Pictures.rule("shape", Map.of("x", 25, "y", 50, "size", 10, "feather", 5))));
  private static final Dial ACROSS = new Dial(SPOT.id(), "rule1.x", "Across", 0, 80);
  private static final Effect EFFECT = new Effect(List.of(SPOT), "", 1, List.of(ACROSS));

  private static Mask ruled(Rule... rules) {
    return new Mask(Cover.BY_RULE, List.of(rules));
  }

  private static Worn turned(double x) {
    Worn.VeilChange change = new Worn.VeilChange(1, false, Map.of("rule1.x", x));
    return new Worn("e", 1, false, Map.of(SPOT.id(), change), Map.of());
  }

  /** Middle of what the spot lightens. */
  private static int spot(Worn worn) {
    Picture grey = Pictures.flat(100, 60, 0.3, 0.3, 0.3);
    Picture out = Renderer.render(grey, new Stack(List.of(worn.bundle(EFFECT))));
    return (int)
        IntStream.range(0, 100).filter(x -> out.r()[30 * 100 + x] > 0.4f).average().orElseThrow();
  }

  @Test
  void aShapeOfAMaskIsMovedByADialAndNoFartherThanItsRange() {
    assertThat(spot(turned(60))).isBetween(55, 65);
    assertThat(spot(turned(99))).isBetween(75, 85);
    assertThat(spot(Worn.fresh("e"))).isBetween(20, 30);
  }

  @Test
  void aDialTurnsARuleThatIsThereAndHoldsItsValue() {
    Dial second = new Dial(SPOT.id(), "rule2.x", "Across", 0, 80);
    assertThatThrownBy(() -> new Effect(List.of(SPOT), "", 1, List.of(second)))
        .hasMessageContaining("no number of the veil");
    Dial narrow = new Dial(SPOT.id(), "rule1.x", "Across", 40, 80);
    assertThatThrownBy(() -> new Effect(List.of(SPOT), "", 1, List.of(narrow)))
        .hasMessageContaining("hold the veil's own value 25");
  }

  @Test
  void aMaskOfTheFittingsOwnIsTurnedOnlyWhereTheRuleIsStillOfThatSort() {
    Mask skin = ruled(Pictures.rule("skin", Map.of()));
    assertThat(turned(60).masked(SPOT.id(), skin).changed(SPOT, EFFECT).mask()).isEqualTo(skin);
    Rule other = Pictures.rule("shape", Map.of("x", 10, "size", 30));
    Mask moved = turned(60).masked(SPOT.id(), ruled(other)).changed(SPOT, EFFECT).mask();
    assertThat(moved.rules().get(0).values().format())
        .containsEntry("x", 60.0)
        .containsEntry("size", 30.0);
  }

  @Test
  void anEffectKeptFromAFittingKeepsTheDialsThatStillReachSomething() {
    Mask skin = ruled(Pictures.rule("skin", Map.of()));
    for (Worn worn : List.of(turned(60), turned(60).masked(SPOT.id(), skin))) {
      Combination kept =
          Combination.of(
              new Fitting(List.of(worn)),
              List.of(new Combination.Pick("e", Set.of(SPOT.id()), true)),
              key -> EFFECT,
              "");
      assertThat(kept.effect().dials()).hasSize(worn.masks().isEmpty() ? 1 : 0);
    }
  }

  @Test
  void aVeilThatGetsAnotherMaskKeepsTheDialsThatStillTurnSomethingOfTheirSort() {
    Mask farther = ruled(Pictures.rule("shape", Map.of("x", 95)));
    Effect moved = EFFECT.withVeils(List.of(SPOT.withMask(farther)));
    assertThat(moved.dials()).containsExactly(new Dial(SPOT.id(), "rule1.x", "Across", 0, 95));
    Mask skin = ruled(Pictures.rule("skin", Map.of()));
    assertThat(EFFECT.withVeils(List.of(SPOT.withMask(skin))).dials()).isEmpty();
    assertThat(EFFECT.withVeils(List.of(SPOT.withMask(Mask.EVERYWHERE))).dials()).isEmpty();
  }
}
