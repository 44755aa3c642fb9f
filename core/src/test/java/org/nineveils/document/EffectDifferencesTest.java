package org.nineveils.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.document.EffectDifferences.Difference;
import org.nineveils.mask.Mask;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class EffectDifferencesTest {
  private static final Veil LIGHT = Pictures.veil("light", Map.of("exposure", 0.5));
  private static final Veil SOFT = Pictures.veil("soft", Map.of("blur", 3));
  private static final Effect ORIGIN = new Effect(List.of(LIGHT, SOFT), "a", 1);

  private static List<Difference> between(Veil... own) {
    return EffectDifferences.between(ORIGIN, new Effect(List.of(own), "a", 1));
  }

  @Test
  void theSameEffectDiffersInNothing() {
    assertThat(EffectDifferences.between(ORIGIN, ORIGIN)).isEmpty();
  }

  @Test
  void aChangedSettingIsNamedWithBothValuesAndTheirUnit() {
    Difference d = between(LIGHT.withNumbers(Map.of("exposure", 0.8)), SOFT).get(0);
    assertThat(d.label()).isEqualTo("Light, exposure");
    assertThat(d.theirs()).isEqualTo("0.5 stops");
    assertThat(d.ours()).isEqualTo("0.8 stops");
    assertThat(d.value()).isEqualTo(0.5);
  }

  @Test
  void opacityMaskAndStateAreToldApart() {
    assertThat(between(LIGHT.withOpacity(0.4).withLifted(true).withMask(Mask.BRUSH_ON), SOFT))
        .extracting(Difference::field)
        .containsExactly("opacity", "lifted", "mask");
  }

  @Test
  void aVeilTakenOutComesWithItsPlaceAndWhatItTakesToHangItAgain() {
    Difference d = between(LIGHT).get(0);
    assertThat(d.field()).isEqualTo("veil");
    assertThat(d.at()).isEqualTo(1);
    Fields veil = Json.read(Json.write((Map<?, ?>) d.value()), "The veil");
    assertThat(EffectJson.parseVeil(veil)).isEqualTo(SOFT);
  }

  @Test
  void dialsAreTakenOverOfVeilsThatBothHave() {
    Dial light = new Dial(LIGHT.id(), "exposure", "Light", 0, 1);
    Dial blur = new Dial(SOFT.id(), "blur", "Blur", 0, 9);
    Effect origin = new Effect(List.of(LIGHT, SOFT), "a", 1, List.of(light, blur));
    List<Difference> all = EffectDifferences.between(origin, new Effect(List.of(LIGHT), "a", 1));
    assertThat(all).extracting(Difference::field).containsExactly("veil", "dials");
    assertThat((List<?>) all.get(1).value()).hasSize(1);
  }

  @Test
  void anAddedVeilAnotherOrderAndAnotherNoteAreTold() {
    Veil tint = Pictures.veil("tint", Map.of());
    Effect own = new Effect(List.of(SOFT, LIGHT, tint), "b", 1);
    List<Difference> all = EffectDifferences.between(ORIGIN, own);
    assertThat(all).extracting(Difference::field).containsExactly("veil", "order", "note");
    assertThat(all.get(0).value()).isNull();
    assertThat(all.get(1).value()).isEqualTo(List.of("v-light", "v-soft"));
  }
}
