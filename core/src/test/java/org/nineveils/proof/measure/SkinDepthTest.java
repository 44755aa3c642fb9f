package org.nineveils.proof.measure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.nineveils.colour.Lab;
import org.nineveils.testing.CheckValues;

class SkinDepthTest {
  /** check-values/ita.csv, worked out apart from this program; its first line names the sources. */
  @Test
  void anglesAndClassesAreThoseOfTheTable() {
    for (var row : CheckValues.table("ita.csv")) {
      Lab lab = new Lab(row.number("L"), row.number("a"), row.number("b"));
      assertThat(SkinDepth.angle(lab)).isCloseTo(row.number("ITA"), within(1e-4));
      assertThat(SkinDepth.of(lab).word()).isEqualTo(row.text("class"));
    }
  }
}
