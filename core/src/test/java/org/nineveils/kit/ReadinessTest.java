package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.kit.Readiness.Lack;
import org.nineveils.kit.Readiness.Proofed;
import org.nineveils.kit.Readiness.State;
import org.nineveils.mask.Mask;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

class ReadinessTest {
  private static Effect effect(String note, Mask mask, String meantFor) {
    VeilKind kind = Kinds.ofId("light");
    SettingValues values = SettingValues.parse(kind.settings(), Map.of("exposure", 1.0));
    return new Effect(
        List.of(new Veil("a", "Lift", kind, values, BlendMode.NORMAL, 1, false, mask, meantFor)),
        note,
        1);
  }

  private static Readiness of(Effect effect, Proofed proofed) {
    return Readiness.of(EffectFacts.of(effect), proofed);
  }

  @Test
  void withoutAVeilItIsPlanned() {
    assertThat(of(Effect.empty(), Proofed.NEVER).state()).isEqualTo(State.PLANNED);
  }

  @Test
  void withoutANoteItIsInWork() {
    Readiness is = of(effect(" ", Mask.EVERYWHERE, ""), Proofed.NEVER);
    assertThat(is.state()).isEqualTo(State.IN_WORK);
    assertThat(is.lacks()).containsExactly(Lack.NOTE);
  }

  @Test
  void proofsAreMissedOnlyWhereTheKitHasProofs() {
    Effect noted = effect("Lower it.", Mask.EVERYWHERE, "");
    assertThat(of(noted, Proofed.NEVER).state()).isEqualTo(State.READY);
    assertThat(of(noted, new Proofed(3, 4, 0, 0, true)).lacks()).containsExactly(Lack.PROOF);
    assertThat(of(noted, new Proofed(4, 4, 0, 2, true)).state()).isEqualTo(State.READY);
    assertThat(of(noted, new Proofed(4, 4, 1, 0, true)).lacks()).containsExactly(Lack.LIMITS);
  }

  @Test
  void aBrushedVeilSaysWhereItBelongs() {
    assertThat(of(effect("Brush.", Mask.BRUSH_ON, ""), Proofed.NEVER).lacks())
        .containsExactly(Lack.MEANT_FOR);
    assertThat(of(effect("Brush.", Mask.BRUSH_ON, "skin"), Proofed.NEVER).state())
        .isEqualTo(State.READY);
  }
}
