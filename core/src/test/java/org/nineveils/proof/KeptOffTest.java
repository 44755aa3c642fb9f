package org.nineveils.proof;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Rule;
import org.nineveils.mask.RuleKinds;
import org.nineveils.setting.SettingValues;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class KeptOffTest {
  @Test
  void aGuardThatIsThereKeepsItsHueAndGetsAnotherAmount() {
    var kind = RuleKinds.ofId("skin");
    SettingValues moved = SettingValues.parse(kind.settings(), Map.of("hue", 62, "amount", 20));
    Rule guard = new Rule(kind, moved, Rule.Join.MINUS, false);
    Veil veil =
        Pictures.veil("light", Map.of("exposure", 1))
            .withMask(new Mask(Cover.BY_RULE, List.of(guard)));
    Effect off = KeptOff.skin(new Effect(List.of(veil), "", 1), List.of(veil.id()), 80);
    Rule now = off.veils().get(0).mask().rules().get(0);
    assertThat(now.values().format()).containsEntry("hue", 62.0).containsEntry("amount", 80.0);
    assertThat(now.join()).isEqualTo(Rule.Join.MINUS);
  }
}
