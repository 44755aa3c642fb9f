package org.nineveils.app.data;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Database;

class JournalTest {
  @TempDir Path folder;
  private Database database;
  private Journal journal;

  @BeforeEach
  void open() {
    database = new Database(folder);
    new JournalTriggers(database.client(), null).afterPropertiesSet();
    journal = new Journal(database.client(), database.transaction());
  }

  @AfterEach
  void close() {
    database.close();
  }

  private int run(String sql) {
    return database.client().sql(sql).update();
  }

  private void edit(String scope, String label, String... statements) {
    journal.edit(
        scope,
        label,
        () -> {
          for (String sql : statements) {
            run(sql);
          }
          return null;
        });
  }

  private List<String> names() {
    return database.client().sql("select name from kit order by id").query(String.class).list();
  }

  @Test
  void anEditIsTakenBackAndDoneAgain() {
    edit("kits", "start A", "insert into kit (name) values ('A')");
    edit("kits", "rename A", "update kit set name = 'B' where name = 'A'");
    assertThat(journal.undo("kits")).contains("rename A");
    assertThat(names()).containsExactly("A");
    assertThat(journal.undo("kits")).contains("start A");
    assertThat(names()).isEmpty();
    assertThat(journal.undo("kits")).isEmpty();
    assertThat(journal.redo("kits")).contains("start A");
    assertThat(journal.redo("kits")).contains("rename A");
    assertThat(names()).containsExactly("B");
    assertThat(journal.canRedo("kits")).isFalse();
  }

  @Test
  void textWithQuotesAndNewlinesComesBackAsItWas() {
    edit(
        "kits",
        "start",
        "insert into kit (name, purpose) values ('It''s', 'two\nlines; drop table kit')");
    edit("kits", "remove", "delete from kit");
    journal.undo("kits");
    assertThat(database.client().sql("select purpose from kit").query(String.class).single())
        .isEqualTo("two\nlines; drop table kit");
  }

  /** Cascades are changes too: a kit that is removed comes back with all that it held. */
  @Test
  void aRemovedKitComesBackWithItsSectionsEffectsAndPaint() {
    edit(
        "kits",
        "fill",
        "insert into kit (id, name) values (1, 'K')",
        "insert into section (id, kit_id, number, name, rule) values (1, 1, 1, 'S', 'stack-freely')",
        "insert into effect (id, kit_id, section_id, position, name, doc) values (1, 1, 1, 1, 'E', '{}')",
        "insert into photo (id, side, name, sha, width, height) values (1, 'wall', 'P', 'x', 1, 1)",
        "insert into paint (effect_id, photo_id, doc) values (1, 1, '{\"v\":[]}')");
    edit("kits", "remove K", "delete from kit where id = 1");
    assertThat(count("paint")).isZero();
    journal.undo("kits");
    for (String table : List.of("kit", "section", "effect", "paint")) {
      assertThat(count(table)).as(table).isEqualTo(1);
    }
    journal.redo("kits");
    assertThat(count("effect")).isZero();
  }

  private int count(String table) {
    return database.client().sql("select count(*) from " + table).query(Integer.class).single();
  }

  @Test
  void anEditThatFailsLeavesNothingNotEvenAnUndoRecord() {
    assertThatThrownBy(
            () ->
                edit(
                    "kits",
                    "broken",
                    "insert into kit (name) values ('A')",
                    "insert into nowhere values (1)"))
        .isInstanceOf(RuntimeException.class);
    assertThat(names()).isEmpty();
    assertThat(journal.canUndo("kits")).isFalse();
    run("insert into kit (name) values ('quiet')");
    assertThat(count("edit_change")).as("no edit is left open").isZero();
  }

  @Test
  void scopesAreTakenBackApartFromEachOther() {
    edit("kit:1", "one", "insert into kit (name) values ('A')");
    edit("kit:2", "two", "insert into kit (name) values ('B')");
    assertThat(journal.undo("kit:1")).contains("one");
    assertThat(names()).containsExactly("B");
  }

  /** Taking back veils must not take back the name, which belongs to the kit's own undo. */
  @Test
  void takingBackAnEffectsVeilsKeepsItsNewName() {
    edit(
        "kits",
        "fill",
        "insert into kit (id, name) values (1, 'K')",
        "insert into section (id, kit_id, number, name, rule) values (1, 1, 1, 'S', 'stack-freely')",
        "insert into effect (id, kit_id, section_id, position, name, doc) values (1, 1, 1, 1, 'E', 'old')");
    edit("effect:1", "veils", "update effect set doc = 'new' where id = 1");
    edit("kit:1", "rename", "update effect set name = 'F' where id = 1");
    journal.undo("effect:1");
    assertThat(
            database
                .client()
                .sql("select name || ' ' || doc from effect")
                .query(String.class)
                .single())
        .isEqualTo("F old");
  }

  @Test
  void aNewEditEndsWhatCouldBeDoneAgain() {
    edit("kits", "a", "insert into kit (name) values ('A')");
    journal.undo("kits");
    edit("kits", "b", "insert into kit (name) values ('B')");
    assertThat(journal.canRedo("kits")).isFalse();
    assertThat(names()).containsExactly("B");
  }

  @Test
  void undoSurvivesARestart() {
    edit("kits", "start A", "insert into kit (name) values ('A')");
    database.close();
    open();
    assertThat(journal.undo("kits")).contains("start A");
    assertThat(names()).isEmpty();
  }

  @Test
  void takingBackCountsTheRevisionOn() {
    edit("kits", "a", "insert into kit (id, name) values (1, 'A')");
    edit("kits", "b", "update kit set name = 'B', rev = rev + 1");
    journal.undo("kits");
    assertThat(database.client().sql("select rev from kit").query(Integer.class).single())
        .isEqualTo(3);
  }

  @Test
  void whatIsNotAnEditIsNotTakenBack() {
    journal.quietly(() -> run("insert into kit (name) values ('A')"));
    assertThat(journal.canUndo("kits")).isFalse();
    edit("kits", "b", "insert into kit (name) values ('B')");
    journal.forgetAll();
    assertThat(journal.canUndo("kits")).isFalse();
    assertThat(names()).containsExactly("A", "B");
  }
}
