package org.nineveils.colour;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.nineveils.testing.CheckValues;

class Ciede2000Test {
  /** Sharma, Wu and Dalal (2005), table 1: check-values/ciede2000_sharma.csv. */
  @Test
  void theThirtyFourPublishedPairsComeOutToFourDecimals() {
    var rows = CheckValues.table("ciede2000_sharma.csv");
    assertThat(rows).hasSize(34);
    for (CheckValues.Row row : rows) {
      Lab one = new Lab(row.number("L1"), row.number("a1"), row.number("b1"));
      Lab two = new Lab(row.number("L2"), row.number("a2"), row.number("b2"));
      double published = row.number("dE00");
      assertThat(Ciede2000.between(one, two))
          .as("pair %s", row.text("pair"))
          .isCloseTo(published, within(1e-4));
      assertThat(Ciede2000.between(two, one)).isCloseTo(published, within(1e-4));
    }
  }
}
