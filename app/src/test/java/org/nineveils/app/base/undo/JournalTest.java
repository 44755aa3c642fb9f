package org.nineveils.app.base.undo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;

import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.function.Supplier;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Database;

class JournalTest {
  private static final String NOTHING_BACK = "Nothing to take back.";

  @TempDir Path folder;
  private Database database;
  private Journal journal;

  @BeforeEach
  void open() {
    database = new Database(folder);
    journal = TestJournal.on(database);
  }

  @AfterEach
  void close() {
    database.close();
  }

  private int run(String sql) {
    return database.client().sql(sql).update();
  }

  private void edit(String scope, String label, String... statements) {
    edit(Set.of(scope), label, "", statements);
  }

  private void edit(Set<String> scopes, String label, String gesture, String... statements) {
    journal.edit(scopes, label, gesture, all(statements));
  }

  private Supplier<Void> all(String... statements) {
    return () -> {
      for (String sql : statements) {
        run(sql);
      }
      return null;
    };
  }

  private String undo(String scope) {
    return journal.step(scope, Steps.last(false));
  }

  private String redo(String scope) {
    return journal.step(scope, Steps.last(true));
  }

  private String sure(String scope, boolean redo) {
    return journal.step(scope, new Steps(redo, null, null, false, true, false));
  }

  private Obstacle obstacle(String scope, boolean redo) {
    Obstacle found =
        catchThrowableOfType(Obstacle.class, () -> journal.step(scope, Steps.last(redo)));
    assertThat(found).as("something stands in the way").isNotNull();
    return found;
  }

  private List<String> names() {
    return texts("select name from kit order by id");
  }

  private List<String> texts(String sql) {
    return database.client().sql(sql).query(String.class).list();
  }

  private int count(String table) {
    return database.client().sql("select count(*) from " + table).query(Integer.class).single();
  }

  /** A kit with an effect that is painted on a photo, each an edit of its own scope. */
  private void paintedEffect() {
    edit("kits", "start K", kit(1, "K"), section(1, 1));
    edit("photos:wall", "add Dog", photo(1, "Dog"));
    edit("kit:1", "add Dove", effect(1, 1, "Dove"));
    edit("effect:1", "brush on, Dove", stroke(1, 1));
  }

  private static String kit(int id, String name) {
    return "insert into kit (id, name, name_key) values (%d, '%s', lower('%s'))"
        .formatted(id, name, name);
  }

  private static String section(int id, int kit) {
    return "insert into section (id, kit_id, number, name, name_key, rule) values (%d, %d, 1, 'S', 's', 'stack-freely')"
        .formatted(id, kit);
  }

  private static String effect(int id, int kit, String name) {
    return "insert into effect (id, kit_id, section_id, position, name, name_key, doc) values (%d, %d, %d, 1, '%s', lower('%s'), 'old')"
        .formatted(id, kit, kit, name, name);
  }

  private static String photo(int id, String name) {
    return "insert into photo (id, side, name, name_key, sha, width, height) values (%d, 'wall', '%s', lower('%s'), 'x', 1, 1)"
        .formatted(id, name, name);
  }

  private static String stroke(int effect, int photo) {
    return "insert into stroke (effect_id, photo_id, veil, place, doc) values (%d, %d, 'v', 1, '{\"points\":[0,0]}')"
        .formatted(effect, photo);
  }

  @Test
  void anEditIsTakenBackAndDoneAgain() {
    edit("kits", "start A", kit(1, "A"));
    edit("kits", "rename A", "update kit set name = 'B' where name = 'A'");
    assertThat(undo("kits")).isEqualTo("Taken back: rename A.");
    assertThat(names()).containsExactly("A");
    assertThat(undo("kits")).isEqualTo("Taken back: start A.");
    assertThat(names()).isEmpty();
    assertThat(undo("kits")).isEqualTo(NOTHING_BACK);
    assertThat(redo("kits")).isEqualTo("Done again: start A.");
    assertThat(redo("kits")).isEqualTo("Done again: rename A.");
    assertThat(names()).containsExactly("B");
    assertThat(redo("kits")).isEqualTo("Nothing to do again.");
  }

  @Test
  void textWithQuotesNewlinesAndSignsOfEveryScriptComesBackAsItWas() {
    String purpose = "two\nlines; drop table kit \u0001 \ud83d\udc36 \"{}\"";
    edit("kits", "start", kit(1, "It''s"));
    journal.edit(
        "kits",
        "say",
        () -> database.client().sql("update kit set purpose = ?").param(purpose).update());
    edit("kits", "remove", "delete from kit");
    undo("kits");
    assertThat(texts("select purpose from kit")).containsExactly(purpose);
    assertThat(names()).containsExactly("It's");
  }

  /** Cascades are changes too: a kit that is removed comes back with all that it held. */
  @Test
  void aRemovedKitComesBackWithItsSectionsEffectsAndPaint() {
    paintedEffect();
    edit("kits", "remove K", "delete from kit where id = 1");
    assertThat(count("stroke")).isZero();
    undo("kits");
    for (String table : List.of("kit", "section", "effect", "stroke")) {
      assertThat(count(table)).as(table).isEqualTo(1);
    }
    redo("kits");
    assertThat(count("effect")).isZero();
  }

  @Test
  void anEditThatFailsLeavesNothingNotEvenAnUndoRecord() {
    assertThatThrownBy(() -> edit("kits", "broken", kit(1, "A"), "insert into nowhere values (1)"))
        .isInstanceOf(RuntimeException.class);
    assertThat(names()).isEmpty();
    assertThat(undo("kits")).isEqualTo(NOTHING_BACK);
    run(kit(2, "quiet"));
    assertThat(count("edit_change")).as("no edit is left open").isZero();
  }

  /**
   * Paint an effect on a photo, remove the effect, take the photo off the wall, take the removal
   * back: before, the foreign key failed at the commit and the pool's connection kept the write
   * lock.
   */
  @Test
  void whatUndoNeedsAndIsGoneIsSaidOfferedAndEverythingElseGoesOn() {
    paintedEffect();
    edit("kit:1", "remove Dove", "delete from effect where id = 1");
    edit("photos:wall", "take off Dog", "delete from photo where id = 1");

    Obstacle obstacle = obstacle("kit:1", false);
    assertThat(obstacle)
        .hasMessage(
            "“remove Dove” cannot be taken back: the photo “Dog” is no longer there. Nothing was changed.");
    assertThat(obstacle.offers())
        .extracting(Obstacle.Offer::label)
        .containsExactly("Bring the photo “Dog” back first", "Pass over this step");
    assertThat(count("effect")).isZero();
    for (int i = 0; i < 8; i++) { // more than there are connections
      edit("kits", "start another", kit(10 + i, "N" + i));
    }

    long first = Long.parseLong(obstacle.offers().get(0).query().replace("first=", ""));
    String said =
        journal.step("kit:1", new Steps(false, null, List.of(first), false, false, false));
    assertThat(said).isEqualTo("Taken back: remove Dove.");
    assertThat(List.of(count("photo"), count("effect"), count("stroke"))).containsExactly(1, 1, 1);
  }

  @Test
  void aKitThatWasInACollectionComesBackWithTheCollectionThatItWasIn() {
    edit("kits", "start K", kit(1, "K"));
    edit(
        "collections",
        "start C",
        "insert into collection (id, name, name_key, version) values (1, 'C', 'c', '1.0')");
    edit(
        "collection:1",
        "kits of C",
        "insert into collection_kit (collection_id, kit_id, position) values (1, 1, 1)");
    edit("kits", "remove K", "delete from kit where id = 1");
    edit("collections", "remove C", "delete from collection where id = 1");
    Obstacle obstacle = obstacle("kits", false);
    assertThat(obstacle.getMessage()).contains("the collection “C” is no longer there");
    long first = Long.parseLong(obstacle.offers().get(0).query().replace("first=", ""));
    journal.step("kits", new Steps(false, null, List.of(first), false, false, false));
    assertThat(List.of(count("kit"), count("collection"), count("collection_kit")))
        .containsExactly(1, 1, 1);
  }

  @Test
  void doingAgainNeedsWhatItPaintedOnToo() {
    paintedEffect();
    undo("effect:1");
    edit("photos:wall", "take off Dog", "delete from photo where id = 1");
    Obstacle obstacle = obstacle("effect:1", true);
    assertThat(obstacle)
        .hasMessage(
            "“brush on, Dove” cannot be done again: the photo “Dog” is no longer there. Nothing was changed.");
    long first = Long.parseLong(obstacle.offers().get(0).query().replace("first=", ""));
    journal.step("effect:1", new Steps(true, null, List.of(first), false, false, false));
    assertThat(count("stroke")).isEqualTo(1);
  }

  /** Removing is done again, though a part of what it removes went with something else since. */
  @Test
  void whatWasToGoAndIsGoneIsNoObstacleToTheRest() {
    paintedEffect();
    edit("kit:1", "remove Dove", "delete from effect where id = 1");
    undo("kit:1");
    edit("photos:wall", "take off Dog", "delete from photo where id = 1");
    assertThat(redo("kit:1")).isEqualTo("Done again: remove Dove.");
    assertThat(count("effect")).isZero();
    assertThat(undo("kit:1")).isEqualTo("Taken back: remove Dove.");
    assertThat(List.of(count("effect"), count("stroke"))).containsExactly(1, 0);
    undo("photos:wall");
    assertThat(List.of(count("photo"), count("stroke"))).containsExactly(1, 1);
  }

  @Test
  void aStrokeThatIsGoneIsOfferedWithWhatItWentWith() {
    paintedEffect();
    edit("photos:wall", "take off Dog", "delete from photo where id = 1");
    assertThat(obstacle("effect:1", false).offers())
        .extracting(Obstacle.Offer::label)
        .containsExactly("Take “take off Dog” back first", "Pass over this step");
  }

  @Test
  void aStepThatCannotBeTakenIsPassedOverAndOlderOnesAreReached() {
    paintedEffect();
    edit("kit:1", "rename Dove", "update effect set name = 'Lark', name_key = 'lark'");
    edit("effect:1", "veils", "update effect set doc = 'new'");
    edit("kits", "elsewhere", "update effect set name = 'Wren', name_key = 'wren'");
    Obstacle obstacle = obstacle("kit:1", false);
    assertThat(obstacle.getMessage()).contains("“elsewhere” was done there since");
    assertThat(journal.step("kit:1", new Steps(false, null, null, false, false, true)))
        .isEqualTo("Passed over: rename Dove. It stays as it is.");
    assertThat(texts("select name from effect")).containsExactly("Wren");
    assertThat(sure("kit:1", false)).isEqualTo("Taken back: add Dove.");
  }

  @Test
  void aNameThatWasGivenAwaySinceIsSaidAndAFreeOneIsOffered() {
    edit("kits", "start A", kit(1, "Straße"));
    edit("kits", "remove A", "delete from kit where id = 1");
    edit("elsewhere", "start another", kit(2, "Straße"));
    Obstacle obstacle = obstacle("kits", false);
    assertThat(obstacle.getMessage()).contains("its name, “Straße”, was given to another since");
    assertThat(obstacle.offers().get(0))
        .isEqualTo(new Obstacle.Offer("Bring it back as “Straße 2”", "rename=true"));
    journal.step("kits", new Steps(false, null, null, true, false, false));
    assertThat(names()).containsExactly("Straße 2", "Straße");
    assertThat(texts("select name_key from kit where id = 1")).containsExactly("strasse 2");
  }

  /**
   * A creation that holds later work goes only when she is sure, and stays until she lets it go.
   */
  @Test
  void takingBackACreationThatHoldsWorkAsksAndIsKeptUntilSheSaysOtherwise() {
    paintedEffect();
    edit("effect:1", "veils", "update effect set doc = 'new', rev = rev + 1");
    Obstacle asks = obstacle("kit:1", false);
    assertThat(asks.getMessage()).contains("“add Dove”", "2 changes", "it can be brought back");
    assertThat(asks.offers()).containsExactly(new Obstacle.Offer("Take it back", "sure=true"));
    assertThat(count("effect")).as("nothing was changed").isEqualTo(1);

    sure("kit:1", false);
    assertThat(count("effect")).isZero();
    edit("kit:1", "something new", effect(2, 1, "Wren"));
    assertThat(redo("kit:1")).as("a new edit ends what is done again").startsWith("Nothing");
    List<Edit> aside = journal.possible("kit:1").aside();
    assertThat(aside)
        .extracting(Edit::label, Edit::holds)
        .containsExactly(org.assertj.core.groups.Tuple.tuple("add Dove", 2));

    journal.step("kit:1", new Steps(true, aside.get(0).id(), null, false, false, false));
    assertThat(texts("select doc from effect where id = 1")).containsExactly("new");
    assertThat(count("stroke")).isEqualTo(1);
    sure("kit:1", false);
    journal.forget("kit:1", aside.get(0).id());
    assertThat(journal.possible("kit:1").aside()).isEmpty();
  }

  /**
   * V, V, Undo, Undo, Redo, Redo: what was done again before is no obstacle to what followed it.
   */
  @Test
  void aRunOfStepsIsDoneAgainInOrder() {
    paintedEffect();
    for (String doc : List.of("one", "two", "three")) {
      edit("effect:1", "veil " + doc, "update effect set doc = '%s'".formatted(doc));
    }
    edit("kit:1", "remove Dove", "delete from effect where id = 1");
    undo("kit:1");
    for (int i = 0; i < 4; i++) {
      undo("effect:1");
    }
    assertThat(texts("select doc from effect")).containsExactly("old");
    for (int i = 0; i < 4; i++) {
      redo("effect:1");
    }
    assertThat(texts("select doc from effect")).containsExactly("three");
    assertThat(redo("kit:1")).as("nothing was made in it since").contains("remove Dove");
    assertThat(count("effect")).isZero();
  }

  @Test
  void aStepIsNotDoneAgainOverWhatWasDoneInItsPlace() {
    paintedEffect();
    edit("effect:1", "mine", "update effect set doc = 'mine'");
    undo("effect:1");
    edit("kit:1", "other", "update effect set doc = 'other'");
    assertThat(obstacle("effect:1", true).getMessage()).contains("“other” was done there since");
    undo("kit:1");
    redo("effect:1");
    Obstacle back = obstacle("kit:1", true);
    assertThat(back.getMessage()).contains("“mine” was done there since");
    assertThat(texts("select doc from effect")).containsExactly("mine");
  }

  /** What is needed first may need something first itself: no offer leads in a circle. */
  @Test
  void whatIsNeededFirstIsAskedForOneAfterTheOtherAndDoneInOneGo() {
    paintedEffect();
    edit("a", "first", "update effect set doc = 'first'");
    edit("b", "second", "update effect set doc = 'second'");
    edit("c", "third", "update effect set doc = 'third'");
    Obstacle once = obstacle("a", false);
    assertThat(once.offers().get(0).label()).isEqualTo("Take “third” back first");
    List<Long> firsts = firsts(once);
    Obstacle twice =
        catchThrowableOfType(
            Obstacle.class,
            () -> journal.step("a", new Steps(false, null, firsts, false, false, false)));
    assertThat(twice.offers().get(0).label()).isEqualTo("Take “second” back first");
    journal.step("a", new Steps(false, null, firsts(twice), false, false, false));
    assertThat(texts("select doc from effect")).containsExactly("old");
  }

  private static List<Long> firsts(Obstacle obstacle) {
    return Arrays.stream(obstacle.offers().get(0).query().replace("first=", "").split(","))
        .map(Long::valueOf)
        .toList();
  }

  /** NULL keeps nothing out, and an index for some rows is for those alone. */
  @Test
  void limitsOfAnotherKitDoNotKeepARemovedKitFromComingBack() {
    for (int id : List.of(1, 2)) {
      edit("kits", "start K" + id, kit(id, "K" + id), section(id, id));
      edit(
          "kit:" + id,
          "limits",
          "insert into limits (kit_id, doc) values (%d, '{}')".formatted(id));
    }
    edit("kits", "remove K2", "delete from kit where id = 2");
    assertThat(undo("kits")).isEqualTo("Taken back: remove K2.");
    assertThat(count("limits")).isEqualTo(2);
  }

  /** Opening the old release's fitting after an update made a row that blocked undo for good. */
  @Test
  void aRowThatWasMadeByLookingAloneGivesWayToWhatComesBack() {
    edit("photos:desk", "add Dog", photo(1, "Dog"));
    edit("f", "wear", fitting("release:1", "{\"effect\":\"a\"}"));
    edit("desk", "update", "update fitting set wardrobe = 'release:2'");
    run(fitting("release:1", ""));
    undo("desk");
    assertThat(texts("select wardrobe || ' ' || id from fitting")).containsExactly("release:1 1");
    redo("desk");
    assertThat(texts("select wardrobe || ' ' || id from fitting order by id"))
        .containsExactly("release:2 1", "release:1 2");
    undo("desk");
    edit("g", "pin", "insert into pin (fitting_id, name, doc) select id, 'P', '{}' from fitting");
    assertThat(redo("desk")).as("its own pin goes along").contains("update");
    edit(
        "h",
        "wear again",
        "update fitting set doc = '{\"worn\":[{\"effect\":\"b\"}]}' where wardrobe = 'release:1'");
    assertThat(obstacle("desk", false).getMessage())
        .as("work does not give way unasked")
        .contains("also takes away what was made in it since");
  }

  private static String fitting(String wardrobe, String worn) {
    return "insert into fitting (wardrobe, photo_id, doc) values ('%s', 1, '{\"worn\":[%s]}')"
        .formatted(wardrobe, worn);
  }

  @Test
  void whatIsInThePlaceOfARowIsTakenBackFirst() {
    paintedEffect();
    edit("a", "tag", "insert into effect_tag (effect_id, tag, tag_key) values (1, 'Soft', 'soft')");
    edit("a", "untag", "delete from effect_tag");
    edit(
        "b",
        "tag too",
        "insert into effect_tag (effect_id, tag, tag_key) values (1, 'soft', 'soft')");
    Obstacle there = obstacle("a", false);
    assertThat(there.offers().get(0).label()).isEqualTo("Take “tag too” back first");
    journal.step("a", new Steps(false, null, firsts(there), false, false, false));
    assertThat(texts("select tag from effect_tag")).containsExactly("Soft");
  }

  @Test
  void scopesAreTakenBackApartFromEachOther() {
    edit("kit:1", "one", kit(1, "A"));
    edit("kit:2", "two", kit(2, "B"));
    assertThat(undo("kit:1")).contains("one");
    assertThat(names()).containsExactly("B");
  }

  @Test
  void aMoveBetweenKitsBelongsToBoth() {
    edit("kits", "fill", kit(1, "A"), kit(2, "B"), section(1, 1), section(2, 2), effect(1, 1, "E"));
    Set<String> both = Set.of("kit:1", "kit:2");
    edit(both, "move E", "", "update effect set kit_id = 2, section_id = 2 where id = 1");
    assertThat(undo("kit:2")).isEqualTo("Taken back: move E.");
    assertThat(texts("select kit_id from effect")).containsExactly("1");
    assertThat(undo("kit:1")).isEqualTo(NOTHING_BACK);
    assertThat(redo("kit:1")).isEqualTo("Done again: move E.");
  }

  /** Taking back veils must not take back the name, which belongs to the kit's own undo. */
  @Test
  void takingBackAnEffectsVeilsKeepsItsNewName() {
    paintedEffect();
    edit("effect:1", "veils", "update effect set doc = 'new' where id = 1");
    edit("kit:1", "rename", "update effect set name = 'F', name_key = 'f' where id = 1");
    undo("effect:1");
    assertThat(texts("select name || ' ' || doc from effect")).containsExactly("F old");
  }

  @Test
  void aNewEditEndsWhatCouldBeDoneAgain() {
    edit("kits", "a", kit(1, "A"));
    undo("kits");
    edit("kits", "b", kit(2, "B"));
    assertThat(journal.possible("kits").redo()).isNull();
    assertThat(names()).containsExactly("B");
  }

  @Test
  void anEditThatChangesNothingIsNoStep() {
    edit("kits", "a", kit(1, "A"));
    undo("kits");
    edit("kits", "nothing", "update kit set name = 'Z' where id = 99");
    edit("kits", "the same", "update kit set name = name");
    assertThat(redo("kits")).as("it did not end what can be done again").contains("a");
    edit("kits", "the same again", "update kit set name = name");
    assertThat(undo("kits")).isEqualTo("Taken back: a.");
  }

  /** The button in a message takes back the act that it names, or says that it was taken back. */
  @Test
  void anEditIsTakenBackByItsOwnNumberWhateverWasDoneElsewhereSince() {
    edit("kits", "a", kit(1, "A"));
    long a = journal.possible("kits").undo().id();
    edit("kits", "b", kit(2, "B"));
    Steps it = new Steps(false, a, null, false, false, false);
    assertThat(journal.step("kits", it)).isEqualTo("Taken back: a.");
    assertThat(names()).containsExactly("B");
    assertThat(journal.step("kits", it)).isEqualTo("That was taken back before.");
    assertThat(names()).containsExactly("B");
  }

  @Test
  void undoSurvivesARestart() {
    edit("kits", "start A", kit(1, "A"));
    database.close();
    open();
    assertThat(undo("kits")).contains("start A");
    assertThat(names()).isEmpty();
  }

  /** Images outlive a migration: a column that is gone is let be, a new one has its start value. */
  @Test
  void undoSurvivesAChangeOfTheTables() {
    run("alter table kit add column colour text not null default 'plum'");
    journal = TestJournal.on(database);
    edit("kits", "start A", kit(1, "A"));
    edit("kits", "remove A", "delete from kit");
    for (String trigger : texts("select name from sqlite_master where type = 'trigger'")) {
      run("drop trigger " + trigger);
    }
    run("alter table kit drop column colour");
    run("alter table kit add column mark text not null default 'new'");
    journal = TestJournal.on(database);
    undo("kits");
    assertThat(texts("select name || ' ' || mark from kit")).containsExactly("A new");
  }

  @Test
  void takingBackCountsTheRevisionOn() {
    edit("kits", "a", kit(1, "A"));
    edit("kits", "b", "update kit set name = 'B', rev = rev + 1");
    undo("kits");
    assertThat(database.client().sql("select rev from kit").query(Integer.class).single())
        .isEqualTo(3);
  }

  @Test
  void savesOfOneGestureAreOneStepAndAnotherGestureIsAnother() {
    edit("kits", "a", kit(1, "A"));
    for (String name : List.of("B", "C", "D")) {
      edit(Set.of("kits"), "drag", "hand 1", "update kit set name = '%s'".formatted(name));
    }
    edit(Set.of("kits"), "drag", "hand 2", "update kit set name = 'E'");
    undo("kits");
    assertThat(names()).containsExactly("D");
    undo("kits");
    assertThat(names()).containsExactly("A");
    redo("kits");
    assertThat(names()).containsExactly("D");
  }

  @Test
  void aScopeKeepsItsOwnStepsHoweverMuchIsDoneElsewhere() {
    edit("kit:1", "mine", kit(1, "A"));
    journal.quietly(
        () -> {
          for (int i = 0; i < EditStore.KEPT_STEPS + 30; i++) {
            edit("kit:2", "other " + i, "update kit set purpose = '" + i + "'");
          }
          return null;
        });
    assertThat(count("edit where id in (select edit_id from edit_scope where scope = 'kit:2')"))
        .isEqualTo(EditStore.KEPT_STEPS);
    assertThat(journal.possible("kit:1").undo().label()).isEqualTo("mine");
  }

  @Test
  void largeStepsGoEarlierButTheLastOnesAlwaysStay() {
    edit("kits", "a", kit(1, "A"));
    String large = "x".repeat((int) (EditStore.KEPT_BYTES / EditStore.LEAST_STEPS * 2));
    for (int i = 0; i < EditStore.LEAST_STEPS + 10; i++) {
      edit("kits", "large " + i, "update kit set purpose = '%d%s'".formatted(i, large));
    }
    assertThat(count("edit")).isEqualTo(EditStore.LEAST_STEPS);
  }

  @Test
  void whatIsNotAnEditIsNotTakenBack() {
    journal.quietly(() -> run(kit(1, "A")));
    assertThat(undo("kits")).isEqualTo(NOTHING_BACK);
    edit("kits", "b", kit(2, "B"));
    journal.forgetAll();
    assertThat(undo("kits")).isEqualTo(NOTHING_BACK);
    assertThat(names()).containsExactly("A", "B");
  }

  /** A row that goes with another one is lost for undo unless its table is recorded. */
  @Test
  void everyTableThatCascadesIsRecorded() {
    Set<String> besides = Set.of("edit_change", "edit_scope"); // the journal itself
    List<String> cascading =
        texts(
            """
            select distinct m.name from sqlite_master m, pragma_foreign_key_list(m.name) f
            where m.type = 'table' and f.on_delete <> 'NO ACTION'""");
    assertThat(cascading).contains("effect", "stroke", "fitting_stroke", "pin");
    assertThat(cascading).allMatch(t -> besides.contains(t) || JournalTables.find(t).isPresent());
    assertThat(texts("select \"table\" from pragma_foreign_key_list('packed_release')"))
        .as("nothing cascades into releases")
        .isEmpty();
  }

  /** A start writes nothing where nothing changed, so that it succeeds on a full disk. */
  @Test
  void triggersAreMadeAnewOnlyWhereTheyDiffer() {
    String version = "select schema_version from pragma_schema_version";
    String before = texts(version).get(0);
    TestJournal.on(database);
    assertThat(texts(version)).containsExactly(before);
    run("drop trigger journal_kit_delete");
    TestJournal.on(database);
    edit("kits", "a", kit(1, "A"));
    edit("kits", "b", "delete from kit");
    undo("kits");
    assertThat(names()).containsExactly("A");
  }
}
