package org.nineveils.app.making.kits;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Asked;
import org.nineveils.app.base.undo.Save;
import org.nineveils.kit.StackingRule;
import org.nineveils.veil.Effect;

class KitServiceTest {
  @TempDir Path folder;
  private KitRoom room;
  private KitService kits;
  private EffectService effects;
  private long kit;

  @BeforeEach
  void open() {
    room = new KitRoom(folder);
    kits = room.kits;
    effects = room.effects;
    kit = kits.addKit("Cradle", "newborns");
  }

  @AfterEach
  void close() {
    room.close();
  }

  private long section(String name) {
    return kits.addSection(kit, name, StackingRule.STACK_FREELY);
  }

  private List<String> sectionNames() {
    return kits.sections(kit).stream().map(s -> s.number() + " " + s.name()).toList();
  }

  @Test
  void aNewKitHasASectionToFileIn() {
    assertThat(sectionNames()).containsExactly("1 Looks");
  }

  @Test
  void sectionsStayNumberedFromOneWhenMovedOrRemoved() {
    long brush = section("By brush");
    section("Finish");
    long looks = kits.sections(kit).get(0).id();
    kits.placeSection(brush, looks);
    assertThat(sectionNames()).containsExactly("1 By brush", "2 Looks", "3 Finish");
    kits.placeSection(looks, null);
    assertThat(sectionNames()).containsExactly("1 By brush", "2 Finish", "3 Looks");
    kits.placeSection(looks, kits.sections(kit).get(1).id());
    kits.removeSection(brush);
    assertThat(sectionNames()).containsExactly("1 Looks", "2 Finish");
  }

  @Test
  void namesAreTakenWhateverTheirCase() {
    assertThatThrownBy(() -> kits.addKit("cradle", ""))
        .isInstanceOf(Conflict.class)
        .hasMessageContaining("“cradle”");
    assertThatThrownBy(() -> section("LOOKS")).isInstanceOf(Conflict.class);
    long looks = kits.sections(kit).get(0).id();
    effects.add(looks, "Milk", Effect.empty());
    assertThatThrownBy(() -> effects.add(looks, "milk", Effect.empty()))
        .isInstanceOf(Conflict.class);
    long other = kits.addKit("Other", "");
    effects.add(kits.sections(other).get(0).id(), "Milk", Effect.empty());
    assertThat(kits.filled(other).get(0).effects()).hasSize(1);
  }

  @Test
  void aThingMayKeepItsOwnName() {
    kits.changeKit(kit, "CRADLE", "");
    assertThat(kits.kit(kit).name()).isEqualTo("CRADLE");
  }

  @Test
  void anEffectIsFiledInAnotherSectionUnderAnotherName() {
    long looks = kits.sections(kit).get(0).id();
    long brush = section("By brush");
    long a = effects.add(looks, "A", Effect.empty());
    effects.add(looks, "B", Effect.empty());
    effects.file(a, brush, "A renamed");
    assertThat(names(0)).containsExactly("B");
    assertThat(names(1)).containsExactly("A renamed");
  }

  private List<String> names(int section) {
    return kits.filled(kit).get(section).effects().stream().map(Rows.Head::name).toList();
  }

  @Test
  void aKitIsShownByOneEffectOfEachSectionInTurnThenTheSecondOnes() {
    long first = kits.sections(kit).get(0).id();
    kits.addSection(kit, "Second", StackingRule.STACK_FREELY);
    long second = kits.sections(kit).get(1).id();
    for (String name : List.of("A", "B", "C")) {
      effects.add(first, name, Effect.empty());
    }
    effects.add(second, "D", Effect.empty());
    assertThat(kits.firstOfKits(3)).extracting(Rows.Head::name).containsExactly("A", "D", "B");
  }

  @Test
  void variantsRememberTheirOriginAndGetFreeNames() {
    long origin = effects.add(kits.sections(kit).get(0).id(), "Milk", Effect.empty());
    long first = effects.addVariant(origin);
    long second = effects.addVariant(origin);
    assertThat(effects.get(first).name()).isEqualTo("Milk variant");
    assertThat(effects.get(second).name()).isEqualTo("Milk variant 2");
    assertThat(effects.get(second).variantOf()).isEqualTo(origin);
  }

  @Test
  void aStaleSaveIsRefusedAndOverwritesNothing() {
    long id = effects.add(kits.sections(kit).get(0).id(), "Milk", Effect.empty());
    Effect first = new Effect(List.of(), "first", 1);
    effects.save(id, Save.on(1, "note"), first);
    assertThatThrownBy(
            () -> effects.save(id, Save.on(1, "note"), new Effect(List.of(), "second", 1)))
        .isInstanceOf(Conflict.class)
        .hasMessageContaining("“Milk” was changed in another window");
    assertThat(effects.effect(effects.get(id))).isEqualTo(first);
    assertThat(effects.get(id).rev()).isEqualTo(2);
  }

  private void asked(String name, long id, Save save, Effect effect) {
    Asked.begin(name);
    try {
      effects.save(id, save, effect);
    } finally {
      Asked.end();
    }
  }

  /** Its answer was lost, as when the application was ended: the page sends it again. */
  @Test
  void aSaveThatIsSentAgainIsStoredOnce() {
    long id = effects.add(kits.sections(kit).get(0).id(), "Milk", Effect.empty());
    Effect next = new Effect(List.of(), "next", 1);
    asked("one", id, Save.on(1, "note"), next);
    assertThatThrownBy(() -> asked("one", id, Save.on(1, "note"), next))
        .isInstanceOfSatisfying(
            Conflict.class, c -> assertThat(c.sort()).isEqualTo(Conflict.Sort.DONE));
    assertThat(effects.get(id).rev()).isEqualTo(2);
  }

  private static Save leaving(String label, String... after) {
    return new Save(1, List.of(after), Map.of("note", ""), label, "");
  }

  /** A page that is left sends its last save while those before are still on their way. */
  @Test
  void aSaveThatFollowsOthersOfTheSamePageIsTakenOnEitherState() {
    long id = effects.add(kits.sections(kit).get(0).id(), "Milk", Effect.empty());
    asked("first", id, leaving("note"), new Effect(List.of(), "first", 1));
    Effect last = new Effect(List.of(), "last", 1);
    asked("last", id, leaving("note", "before", "first"), last);
    assertThat(effects.effect(effects.get(id))).isEqualTo(last);
    Save other = leaving("note", "no such save", "");
    assertThatThrownBy(() -> asked("other", id, other, Effect.empty()))
        .isInstanceOf(Conflict.class);
  }

  @Test
  void whatIsGoneIsSaidInWords() {
    assertThatThrownBy(() -> kits.kit(99))
        .isInstanceOf(NotFound.class)
        .hasMessage("This kit is no longer here.");
    assertThatThrownBy(() -> effects.get(99)).isInstanceOf(NotFound.class);
    assertThatThrownBy(() -> kits.addSection(99, "x", StackingRule.STACK_FREELY))
        .isInstanceOf(NotFound.class);
  }
}
