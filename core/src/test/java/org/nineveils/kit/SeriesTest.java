package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.mask.Mask;
import org.nineveils.refusal.Refusal;
import org.nineveils.setting.InvalidSetting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

class SeriesTest {
  private static Effect light(double stops) {
    VeilKind kind = Kinds.ofId("light");
    SettingValues values = SettingValues.parse(kind.settings(), Map.of("exposure", stops));
    return new Effect(
        List.of(
            new Veil("a", "Lift", kind, values, BlendMode.NORMAL, 1, false, Mask.EVERYWHERE, "")),
        "",
        1);
  }

  private static double exposure(Effect effect) {
    return (double) effect.veils().get(0).settings().format().get("exposure");
  }

  /** Common practice, no published source: exposure is judged in thirds of a stop. */
  @Test
  void thirdsOfAStopAreExactHoweverTheyAreTyped() {
    assertThat(Series.values(-0.67, 1, 0.33))
        .usingElementComparator((a, b) -> Math.abs(a - b) < 1e-9 ? 0 : 1)
        .containsExactly(-2 / 3.0, -1 / 3.0, 0.0, 1 / 3.0, 2 / 3.0, 1.0);
  }

  @Test
  void valuesGoDownWhereTheLastIsBelowTheFirstAndStopBeforeTheyPassIt() {
    assertThat(Series.values(10, 3, 2.5)).containsExactly(10.0, 7.5, 5.0);
    assertThat(Series.values(4, 4, 1)).containsExactly(4.0);
  }

  @Test
  void aStepOfNothingAndTooManyAreRefused() {
    assertThatThrownBy(() -> Series.values(0, 1, 0)).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> Series.values(0, 100, 1))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("101");
  }

  @ParameterizedTest
  @CsvSource({"0.3333333333, +⅓", "-0.67, −⅔", "1.3333333, +1⅓", "2, +2", "0, 0", "-12.5, −12.5"})
  void namesWriteValuesWithSignAndThirds(double value, String words) {
    assertThat(Series.written(value)).isEqualTo(words);
  }

  @Test
  void onlyTheOneNumberChangesFromStepToStep() {
    List<Series.Step> steps =
        Series.of(light(0.5), "Lift", "a", "exposure", List.of(-1.0, 1.0), "{name} {value}");
    assertThat(steps).extracting(Series.Step::name).containsExactly("Lift −1", "Lift +1");
    assertThat(steps).extracting(s -> exposure(s.effect())).containsExactly(-1.0, 1.0);
    Effect back = steps.get(0).effect().withVeils(light(0.5).veils());
    assertThat(back).isEqualTo(light(0.5));
  }

  @Test
  void theOpacityOfAVeilIsSteppedInPerCent() {
    Series.Step step =
        Series.of(light(1), "Lift", "a", Series.OPACITY, List.of(35.0), "{name} {number}").get(0);
    assertThat(step.effect().veils().get(0).opacity()).isCloseTo(0.35, within(1e-12));
    assertThat(step.name()).isEqualTo("Lift 1");
  }

  @Test
  void namesThatComeOutTheSameAreRefusedAndValuesOutOfRangeToo() {
    assertThatThrownBy(
            () -> Series.of(light(0), "Lift", "a", "exposure", List.of(1.0, 2.0), "{name}"))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("{number}");
    assertThatThrownBy(
            () -> Series.of(light(0), "Lift", "a", "exposure", List.of(99.0), "{name} {value}"))
        .isInstanceOf(InvalidSetting.class);
  }

  @Test
  void whatCanBeSteppedNamesChangedSettingsFirst() {
    List<Steppable> all = Steppable.of(light(0.5).veils().get(0));
    assertThat(all.get(0).key()).isEqualTo(Series.OPACITY);
    assertThat(all.get(1).key()).isEqualTo("exposure");
    assertThat(all.get(1).value()).isEqualTo(0.5);
    assertThat(all.subList(2, all.size())).noneMatch(Steppable::changed);
  }
}
