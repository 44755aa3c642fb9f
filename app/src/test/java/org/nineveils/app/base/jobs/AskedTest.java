package org.nineveils.app.base.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.nineveils.document.Json;
import org.nineveils.refusal.Refusal;

class AskedTest {
  private record Copies(long kit, String as, boolean photos) {}

  @Test
  void whatAJobIsAskedIsStoredUnderTheNamesOfItsFieldsAndReadBack() {
    Copies asked = new Copies(7, "“pdf”", true);
    String stored = Asked.write(asked);
    assertThat(Json.read(stored, "").names()).containsExactlyInAnyOrder("kit", "as", "photos");
    assertThat(Asked.read(stored, Copies.class)).isEqualTo(asked);
  }

  @Test
  void whatAnOlderProgramAskedIsRefusedInASentence() {
    for (String older : new String[] {"{\"kit\": \"seven\"}", "[]", "{\"as\": \"pdf\"}"}) {
      assertThatThrownBy(() -> Asked.read(older, Copies.class))
          .as(older)
          .isInstanceOf(Refusal.class)
          .hasMessageContaining("begin it again");
    }
  }
}
