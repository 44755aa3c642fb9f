package org.nineveils.release.leaving;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.nineveils.kit.EffectFacts;
import org.nineveils.kit.Readiness;
import org.nineveils.mask.Mask;
import org.nineveils.release.leaving.Leaving.Item;
import org.nineveils.release.leaving.Leaving.Kit;
import org.nineveils.release.leaving.Leaving.Section;
import org.nineveils.testing.Pictures;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

class LeavingTest {
  private static final Veil LIGHT = Pictures.veil("light", Map.of("exposure", 0.5));
  private static final Readiness.Proofed WELL = new Readiness.Proofed(3, 3, 0, 0, true);

  private static Item item(long id, String name, Effect effect, Readiness.Proofed proofed) {
    return new Item(id, name, EffectFacts.of(effect), proofed, "Skin turned on Studio", 6, false);
  }

  private static Item well(long id, String name) {
    return item(id, name, new Effect(List.of(LIGHT), "Lower it.", 1), WELL);
  }

  private static Leaving of(List<List<Long>> alike, Section... sections) {
    Kit kit = new Kit(7, "Willow", List.of(sections));
    return new Leaving(List.of(kit), alike, false, "", 3, true, true);
  }

  private static List<Reason> reasons(Leaving leaving) {
    return leaving.found().stream().map(Leaving.Found::reason).toList();
  }

  @Test
  void whatIsWholeAndProofedMayLeave() {
    Leaving leaving = of(List.of(), new Section(1, "Looks", List.of(well(1, "A"), well(2, "B"))));
    assertThat(leaving.found()).isEmpty();
    assertThat(leaving.well()).hasSize(9);
  }

  @Test
  void whatABuyerWouldStumbleOverKeepsItIn() {
    Item planned = item(1, "First frost", Effect.empty(), Readiness.Proofed.NEVER);
    Item promising = item(2, "Sun", new Effect(List.of(LIGHT), "Turn its dial.", 1), WELL);
    Item twice = well(3, "sun");
    Item broken = new Item(4, "Paper", twice.facts(), WELL, "", 0, true);
    Leaving leaving =
        of(
            List.of(),
            new Section(2, "Looks", List.of(planned, promising, twice, broken)),
            new Section(3, "Finish", List.of()));
    assertThat(reasons(leaving))
        .containsExactly(
            Reason.EMPTY_SECTION, Reason.PLANNED, Reason.PICTURE, Reason.TWICE, Reason.PROMISE);
    assertThat(leaving.found()).allMatch(f -> f.reason().level() == Reason.Level.MUST);
    assertThat(leaving.found().get(3).effects()).containsExactly(2L, 3L);
    assertThat(leaving.found().get(0).section()).isEqualTo(3);
    assertThat(new Leaving(List.of(), List.of(), true, "", 0, true, true).found())
        .extracting(Leaving.Found::reason)
        .containsExactly(Reason.NOTHING, Reason.VERSION);
    assertThat(reasons(of(List.of(), new Section(4, "Looks", List.of()))))
        .containsExactly(Reason.EMPTY_KIT);
  }

  @Test
  void whatTheMakerShouldHaveSeenIsAskedFor() {
    Effect brushed = new Effect(List.of(brushOn("skin")), "", 1);
    Item noNote = item(1, "A", brushed, Readiness.Proofed.NEVER);
    Item unplaced = item(2, "B", new Effect(List.of(brushOn("")), "Brush.", 1), WELL);
    Item over =
        item(3, "C", new Effect(List.of(LIGHT), "x", 1), new Readiness.Proofed(3, 3, 1, 2, true));
    Item near =
        item(4, "D", new Effect(List.of(LIGHT), "x", 1), new Readiness.Proofed(3, 3, 0, 2, true));
    Kit kit =
        new Kit(
            7, "Willow", List.of(new Section(5, "Looks", List.of(noNote, unplaced, over, near))));
    Leaving leaving =
        new Leaving(
            List.of(kit),
            List.of(List.of(3L, 4L), List.of(3L, 99L)),
            false,
            "1.1",
            90,
            false,
            false);
    assertThat(reasons(leaving))
        .containsExactly(
            Reason.NOTE,
            Reason.UNPLACED,
            Reason.REGION,
            Reason.UNPROOFED,
            Reason.OVER,
            Reason.NEAR,
            Reason.ALIKE,
            Reason.TOO_LOW,
            Reason.LARGE,
            Reason.COVER,
            Reason.LICENCE);
    assertThat(leaving.found()).allMatch(f -> f.reason().level() == Reason.Level.LOOK);
    assertThat(leaving.found().get(4).detail()).isEqualTo("Skin turned on Studio");
    assertThat(leaving.found().get(4).photo()).isEqualTo(6);
    assertThat(leaving.well())
        .containsExactly(
            "something goes in, no kit or section is empty",
            "every effect is built, its pictures can be read",
            "every name is there once");
  }

  private static Veil brushOn(String meant) {
    return new Veil(
        "b", "B", LIGHT.kind(), LIGHT.settings(), LIGHT.blend(), 1, false, Mask.BRUSH_ON, meant);
  }
}
