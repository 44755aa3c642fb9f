package org.nineveils.app.making.kits;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.kit.Series;
import org.nineveils.kit.StackingRule;
import org.nineveils.refusal.Refusal;
import org.nineveils.veil.Effect;

/** Several effects filed at once, and kits made of kits: each act one step of undo. */
class FilingTest {
  @TempDir Path folder;
  private KitRoom room;
  private Journal journal;
  private KitService kits;
  private EffectService effects;
  private Filing filing;
  private Shaping shaping;
  private EffectTags tags;
  private long kit;
  private long looks;
  private long finish;

  @BeforeEach
  void open() {
    room = new KitRoom(folder);
    journal = room.journal;
    kits = room.kits;
    effects = room.effects;
    tags = room.tags;
    filing = room.filing;
    shaping = room.shaping;
    kit = kits.addKit("Cradle", "newborns");
    looks = kits.sections(kit).get(0).id();
    finish = kits.addSection(kit, "Finish", StackingRule.STACK_FREELY);
  }

  @AfterEach
  void close() {
    room.close();
  }

  private long add(long section, String name) {
    return effects.add(section, name, Effect.empty());
  }

  private List<List<String>> hanging(long kitId) {
    return kits.filled(kitId).stream()
        .map(f -> f.effects().stream().map(Rows.Head::name).toList())
        .toList();
  }

  private String undo(long kitId) {
    return journal.step(KitService.scope(kitId), Steps.last(false));
  }

  private Effect doc(long id) {
    return effects.effect(effects.get(id));
  }

  private static Effect noted(String note) {
    return new Effect(List.of(), note, 1);
  }

  @Test
  void severalEffectsMoveTogetherAndOneUndoTakesThemBack() {
    long a = add(looks, "A");
    long b = add(looks, "B");
    long c = add(looks, "C");
    long d = add(finish, "D");
    String said = filing.move(List.of(a, c), finish, d);
    assertThat(hanging(kit)).containsExactly(List.of("B"), List.of("A", "C", "D"));
    assertThat(said).isEqualTo("2 effects hang in section 2, Finish.");
    filing.move(List.of(d), finish, a);
    assertThat(hanging(kit).get(1)).containsExactly("D", "A", "C");
    undo(kit);
    undo(kit);
    assertThat(hanging(kit)).containsExactly(List.of("A", "B", "C"), List.of("D"));
    assertThat(effects.get(b).position()).isEqualTo(2);
  }

  @Test
  void anEffectWhoseNameIsTakenInTheOtherKitGetsANumberAndBothKitsCanTakeItBack() {
    long other = kits.addKit("Fur", "pets");
    long theirs = kits.sections(other).get(0).id();
    add(theirs, "Milk");
    long milk = add(looks, "Milk");
    assertThat(filing.move(List.of(milk), theirs, null))
        .contains("“Milk” is called “Milk 2” there");
    assertThat(hanging(other)).containsExactly(List.of("Milk", "Milk 2"));
    undo(other);
    assertThat(hanging(kit).get(0)).containsExactly("Milk");
    assertThat(hanging(other)).containsExactly(List.of("Milk"));
  }

  @Test
  void copiesRememberWhereTheyCameFromAndHaveTheTags() {
    long a = add(looks, "A");
    tags.tag(List.of(a), "#window light", true);
    long copy = filing.copy(List.of(a), finish).get(0);
    assertThat(effects.get(copy).variantOf()).isEqualTo(a);
    assertThat(effects.get(copy).name()).isEqualTo("A 2");
    assertThat(tags.inKit(kit).get(copy)).containsExactly("window light");
  }

  @Test
  void aListOfNamesIsPlannedAsAWholeOrNotAtAll() {
    add(looks, "Milk");
    filing.plan(finish, List.of("Frost", "", "  Dew "));
    assertThat(hanging(kit).get(1)).containsExactly("Frost", "Dew");
    assertThatThrownBy(() -> filing.plan(finish, List.of("Rime", "milk")))
        .isInstanceOf(Conflict.class)
        .hasMessageContaining("“milk”");
    assertThat(hanging(kit).get(1)).containsExactly("Frost", "Dew");
    assertThatThrownBy(() -> filing.plan(finish, List.of(" "))).isInstanceOf(Refusal.class);
  }

  @Test
  void aSeriesHangsBehindWhatItWasMadeOf() {
    long a = add(looks, "A");
    add(looks, "B");
    filing.series(
        a,
        List.of(
            new Series.Step("A +1", 1, Effect.empty()), new Series.Step("A +2", 2, noted("2"))));
    assertThat(hanging(kit).get(0)).containsExactly("A", "A +1", "A +2", "B");
    undo(kit);
    assertThat(hanging(kit).get(0)).containsExactly("A", "B");
  }

  @Test
  void removedEffectsComeBackWithTagsAndPlace() {
    long a = add(looks, "A");
    add(looks, "B");
    tags.tag(List.of(a), "soft", true);
    filing.remove(List.of(a));
    assertThat(hanging(kit).get(0)).containsExactly("B");
    undo(kit);
    assertThat(hanging(kit).get(0)).containsExactly("A", "B");
    assertThat(tags.inKit(kit)).containsEntry(a, List.of("soft"));
  }

  @Test
  void aDuplicateHasAllSectionsAndEffectsAndIsAKitOfItsOwn() {
    long a = add(looks, "A");
    add(finish, "B");
    long copy = shaping.duplicate(kit, "Cradle two");
    assertThat(hanging(copy)).containsExactly(List.of("A"), List.of("B"));
    effects.save(a, Save.on(1, "note"), noted("changed"));
    long theirs = kits.filled(copy).get(0).effects().get(0).id();
    assertThat(doc(theirs).note()).isEmpty();
    undo(kit);
    assertThat(kits.kits()).extracting(Rows.Kit::name).containsExactly("Cradle");
  }

  @Test
  void splitEffectsLeaveAndMergedOnesComeBackIntoSectionsOfTheSameName() {
    long a = add(looks, "A");
    add(looks, "B");
    long c = add(finish, "C");
    long part = shaping.split(kit, List.of(a, c), "Part");
    assertThat(hanging(kit)).containsExactly(List.of("B"), List.of());
    assertThat(hanging(part)).containsExactly(List.of("A"), List.of("C"));
    add(kits.sections(part).get(0).id(), "B");
    String said = shaping.merge(kit, part);
    assertThat(hanging(kit)).containsExactly(List.of("B", "A", "B 2"), List.of("C"));
    assertThat(said).contains("3 effects").contains("“B” is called “B 2” here");
    assertThat(kits.kits()).hasSize(1);
    undo(kit);
    assertThat(hanging(kit)).containsExactly(List.of("B"), List.of());
    assertThat(hanging(part)).containsExactly(List.of("A", "B"), List.of("C"));
  }

  @Test
  void aLiteKitChangesWithTheOtherUntilAnEffectIsLetGo() {
    long a = add(looks, "A");
    long lite = shaping.lite(kit, List.of(a), "Cradle lite");
    long follower = kits.filled(lite).get(0).effects().get(0).id();
    effects.save(a, Save.on(1, "note"), noted("brush it on the blanket"));
    assertThat(doc(follower).note()).isEqualTo("brush it on the blanket");
    journal.step(EffectService.scope(a), Steps.last(false));
    assertThat(doc(follower).note()).as("undo goes along").isEmpty();
    int rev = effects.get(follower).rev();
    assertThatThrownBy(() -> effects.save(follower, Save.on(rev, "note"), noted("mine")))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("follows “A” of Cradle");
    shaping.letGo(List.of(follower));
    effects.save(follower, Save.on(rev, "note"), noted("mine"));
    effects.save(a, Save.on(effects.get(a).rev(), "note"), noted("theirs"));
    assertThat(doc(follower).note()).isEqualTo("mine");
  }

  @Test
  void whatFollowedARemovedEffectStays() {
    long a = add(looks, "A");
    effects.save(a, Save.on(1, "note"), noted("kept"));
    long lite = shaping.lite(kit, List.of(a), "Cradle lite");
    filing.remove(List.of(a));
    long follower = kits.filled(lite).get(0).effects().get(0).id();
    assertThat(doc(follower).note()).isEqualTo("kept");
    assertThat(shaping.followed(lite)).isEmpty();
    undo(kit);
    assertThat(shaping.followed(lite)).containsKey(follower);
  }

  @Test
  void anEffectTakesSoManyTagsAndNoMore() {
    long a = add(looks, "A");
    for (int i = 0; i < EffectTags.MOST; i++) {
      tags.tag(List.of(a), "tag " + i, true);
    }
    assertThatThrownBy(() -> tags.tag(List.of(a), "one more", true))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining("12 tags");
    tags.tag(List.of(a), "TAG 3", false);
    assertThat(tags.inKit(kit).get(a)).hasSize(EffectTags.MOST - 1);
  }
}
