package org.nineveils.app.making.kits;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.kit.Against;
import org.nineveils.kit.MakersOwn;
import org.nineveils.kit.Mark;
import org.nineveils.kit.StackingRule;
import org.nineveils.release.KitFile;
import org.nineveils.release.KitFiles;
import org.nineveils.veil.Effect;

/** Nothing of an effect is lost where it is copied or carried to another installation. */
class WhatAnEffectCarriesTest {
  /** Where an effect hangs, and how its saves are told apart: made anew for each copy. */
  private static final Set<String> OWN_TO_EACH =
      Set.of("id", "kit_id", "section_id", "position", "name_key", "rev", "token");

  /** Fields of {@link KitFile.EffectPart}. */
  private static final Set<String> PARTS = Set.of("name", "doc", "variant_of");

  /** {@link MakersOwn}, by what stores it. */
  private static final Set<String> NOTED = Set.of("favourite", "effect_tag", "effect_mark");

  /** Copied by {@link GoesAlong}; they speak of photos, which no kit file holds. */
  private static final Set<String> WITH_PHOTOS = Set.of("stroke", "accepted");

  /** Between an effect and another thing; a copy stands on its own. */
  private static final Set<String> BETWEEN =
      Set.of("effect_follows", "both_wanted", "collection_without", "paint");

  private static final MakersOwn ALL =
      new MakersOwn(List.of("window light", "grey"), true, Optional.of(Mark.UNSURE));

  @TempDir Path folder;
  private KitRoom room;
  private KitService kits;
  private OwnStore own;
  private long kit;
  private long effect;

  @BeforeEach
  void open() {
    room = new KitRoom(folder);
    kits = room.kits;
    own = room.own;
    kit = kits.addKit("Cradle", "newborns");
    long looks = kits.sections(kit).get(0).id();
    long finish = kits.addSection(kit, "Finish", StackingRule.STACK_FREELY);
    effect = room.effects.add(looks, "Milk", Effect.empty());
    own.put(effect, ALL);
    room.marks.put("section", finish, Optional.of(Mark.LATER));
    room.against.put(looks, finish, true);
  }

  @AfterEach
  void close() {
    room.close();
  }

  @Test
  void whateverIsStoredOfAnEffectIsSaidToBeCarriedOrNot() {
    List<String> columns =
        room.database
            .client()
            .sql("select name from pragma_table_info('effect')")
            .query(String.class)
            .list();
    List<String> tables =
        room.database
            .client()
            .sql(
                """
                select distinct t.name from sqlite_schema t, pragma_foreign_key_list(t.name) f
                where t.type = 'table' and f."table" = 'effect'""")
            .query(String.class)
            .list();
    assertThat(Stream.concat(columns.stream(), tables.stream()))
        .as("a new one is carried by copies and kit files, or named here with its reason")
        .isNotEmpty()
        .isSubsetOf(
            Stream.of(OWN_TO_EACH, PARTS, NOTED, WITH_PHOTOS, BETWEEN)
                .flatMap(Set::stream)
                .toList());
  }

  @Test
  void aCopyOfAKitHasAllThatTheMakerNotedAndItsRules() {
    long copy = room.shaping.duplicate(kit, "Cradle again");
    assertThat(own.inKit(copy).values()).containsExactly(ALL);
    assertKept(copy);
  }

  @Test
  void aKitFileHasAllThatTheMakerNotedAndItsRules() {
    byte[] file = KitFiles.write(new KitFile(List.of(room.carried.part(kit)), List.of(), Map.of()));
    long there = room.carried.take(KitFiles.open(file, "cradle.zip", "").kits(), () -> {}).get(0);
    assertThat(own.inKit(there).values()).containsExactly(ALL);
    assertThat(own.of(room.effects.get(room.effects.ids(there).get(0)))).isEqualTo(ALL);
    assertKept(there);
  }

  private void assertKept(long there) {
    List<Long> sections = kits.sections(there).stream().map(Rows.Section::id).toList();
    assertThat(room.marks.inKit("section", there)).isEqualTo(Map.of(sections.get(1), Mark.LATER));
    assertThat(room.rules.against(there).get(sections.get(0)))
        .containsExactly(new Against(2, true));
  }
}
