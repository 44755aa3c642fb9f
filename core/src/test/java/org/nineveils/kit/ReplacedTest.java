package org.nineveils.kit;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class ReplacedTest {
  private static final Veil LIGHT = Pictures.veil("light", Map.of("exposure", 0.5));
  private static final Veil TINT = Pictures.veil("tint", Map.of("colourise", 60));

  @Test
  void whatGoesAndWhatComesIsNamedWithDialsAndNoteWhereTheyChange() {
    Dial dial = new Dial(LIGHT.id(), "exposure", "Light", 0, 1);
    Effect before = new Effect(List.of(LIGHT), "Once.", 1, List.of(dial));
    Effect after = new Effect(List.of(TINT), "Twice.", 1);
    assertThat(Replaced.told("Dawn", before, after))
        .startsWith("“Dawn” loses “" + LIGHT.name() + "” and gets “" + TINT.name() + "”.")
        .contains("dials: 0 instead of 1", "note changes");
    assertThat(Replaced.told("Dawn", before, before)).doesNotContain("dials", "note");
    assertThat(Replaced.told("Dawn", Effect.empty(), after)).contains("loses nothing");
  }

  @Test
  void ofManyVeilsTheFirstAreNamedAndTheRestCounted() {
    List<Veil> many =
        java.util.stream.IntStream.range(0, 8).mapToObj(i -> LIGHT.withId("v" + i)).toList();
    assertThat(Replaced.told("Dawn", Effect.empty(), new Effect(many, "", 1)))
        .contains("and 3 more");
  }
}
