package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.nineveils.kit.Health.Finding;
import org.nineveils.kit.Health.Ill;
import org.nineveils.kit.Health.Item;
import org.nineveils.kit.Readiness.Proofed;

class HealthTest {
  private static final Proofed ALL = new Proofed(4, 4, 0, 0, true);

  private static EffectFacts facts(int veils, boolean noted, boolean unplaced) {
    return new EffectFacts(Set.of("soft"), Set.of(), veils, 0, 1, noted, unplaced, unplaced, false);
  }

  @Test
  void aFinishedKitHasNothingWrongWithIt() {
    assertThat(Health.of(List.of(new Item(1, facts(2, true, false), ALL, false)))).isEmpty();
  }

  @Test
  void eachIllNamesTheEffectsThatHaveItInTheirOrder() {
    List<Finding> found =
        Health.of(
            List.of(
                new Item(1, facts(2, false, false), ALL, true),
                new Item(2, facts(1, true, true), new Proofed(4, 4, 2, 0, true), false),
                new Item(3, facts(2, false, false), new Proofed(3, 4, 0, 0, true), false)));
    assertThat(found)
        .containsExactly(
            new Finding(Ill.OVER, List.of(2L)),
            new Finding(Ill.NOTE, List.of(1L, 3L)),
            new Finding(Ill.UNPLACED, List.of(2L)),
            new Finding(Ill.PROOF, List.of(3L)),
            new Finding(Ill.TWICE, List.of(1L)));
  }

  @Test
  void aPlannedEffectLacksNothingButItself() {
    Item planned = new Item(1, facts(0, false, false), new Proofed(0, 4, 0, 0, true), false);
    assertThat(Health.of(List.of(planned))).containsExactly(new Finding(Ill.PLANNED, List.of(1L)));
  }
}
