package org.nineveils.app.shop.desk;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verifyNoInteractions;

import java.nio.file.Path;
import java.time.Clock;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.data.TestBlobs;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Obstacle;
import org.nineveils.app.base.undo.Steps;
import org.nineveils.app.base.undo.TestJournal;
import org.nineveils.app.testing.Database;
import org.nineveils.app.wear.fitting.Moves;
import org.nineveils.app.wear.fitting.WornFittings;
import org.nineveils.app.wear.looks.OwnLookKeys;
import org.nineveils.release.signing.MakersKey;
import org.nineveils.release.signing.Signed;

/** Releases of one collection at the desk: which stands before which, and who made them. */
class TakingOffTest {
  @TempDir Path folder;
  private Database database;
  private Journal journal;
  private DeskStore store;
  private DeskService desk;
  private KnownKeys keys;

  @BeforeEach
  void open() {
    database = new Database(folder);
    journal = TestJournal.on(database);
    store = new DeskStore(database.client());
    keys = new KnownKeys(database.client(), journal, Clock.systemUTC());
    desk =
        new DeskService(
            store,
            TestBlobs.in(folder.resolve("files")),
            journal,
            null,
            null,
            keys,
            new FavouriteStore(database.client()),
            mock(WornFittings.class),
            mock(OwnLookKeys.class),
            new Budget(1000));
  }

  @AfterEach
  void close() {
    database.close();
  }

  private long release(String version, long behind) {
    long id = store.add(new DeskRow(0, "sha" + version, "Soft", version, "Q", "", "", 0));
    store.behind(id, behind);
    return id;
  }

  private List<String> at() {
    return store.all().stream().map(DeskRow::version).toList();
  }

  /** Taking a release off took a newer one that waited aside for it. */
  @Test
  void aNewerReleaseThatWaitsAsideComesToTheDeskAndOlderOnesGoAlong() {
    long now = release("1.1", 0);
    release("1.0", now);
    release("1.2", now);
    release("2.0", now);
    assertThat(at()).containsExactly("1.1");
    desk.remove(now);
    assertThat(at()).containsExactly("2.0");
    assertThat(store.kept()).extracting(DeskRow::version).containsExactly("2.0", "1.2");
    journal.step(DeskService.SCOPE, Steps.last(false));
    assertThat(at()).containsExactly("1.1");
    assertThat(store.kept()).hasSize(4);
  }

  /** “Update” in a tab that shows how it was before ran again, over favourites and all. */
  @Test
  void anUpdateThatWasDoneIsNotDoneAgain() {
    long old = release("1.0", 0);
    long now = release("1.1", old);
    Moves moves = mock(Moves.class);
    Updates updates =
        new Updates(
            desk,
            store,
            new FavouriteStore(database.client()),
            null,
            moves,
            null,
            mock(OwnLookKeys.class),
            null,
            journal,
            new Budget(1000)) {
          @Override
          java.util.Map<String, String> paths(DeskRow one, DeskRow two, boolean back) {
            return java.util.Map.of();
          }
        };
    DeskRow before = desk.get(old);
    DeskRow after = desk.get(now);
    store.replace(old, now); // in the other tab
    assertThatThrownBy(() -> updates.replace(before, after))
        .isInstanceOf(Conflict.class)
        .hasMessageContaining("was done before");
    verifyNoInteractions(moves);
  }

  /** With its signature taken out, a release was only “not signed”. */
  @Test
  void amakersUnsignedReleaseIsAskedAboutWhereSheAlwaysSignedAndTheAnswerIsRemembered() {
    Signed unsigned = Signed.read(null, new byte[0]);
    keys.ask(unsigned, "Quillfern", "a.zip", false); // nothing is known of her yet
    MakersKey own = MakersKey.make();
    byte[] list = {1};
    keys.see(Signed.read(Signed.file(own, list), list), "Quillfern", "sha");
    assertThatThrownBy(() -> keys.ask(unsigned, "quillfern", "a.zip", false))
        .isInstanceOf(Obstacle.class)
        .hasMessageContaining("is not signed, but what came as “quillfern” before was signed")
        .hasMessageContaining(own.named());
    keys.ask(unsigned, "Other", "a.zip", false);
    keys.ask(unsigned, "Quillfern", "a.zip", true);
    keys.ask(unsigned, "Quillfern", "b.zip", false);
    assertThat(keys.vouched(unsigned, "Quillfern", "sha2").said())
        .contains("may have been changed");
  }

  @Test
  void anotherKeyOfAKnownMarkIsAskedAboutOnceAndOneOfNobodyIsNot() {
    byte[] list = {1, 2, 3};
    Signed own = Signed.read(Signed.file(MakersKey.make(), list), list);
    Signed other = Signed.read(Signed.file(MakersKey.make(), list), list);
    keys.ask(own, "Quillfern", "a.zip", false);
    keys.see(own, "Quillfern", "sha");
    assertThat(keys.vouched(own, "Quillfern", "sha").id()).isEqualTo("first");
    assertThat(keys.vouched(own, "Quillfern", "sha2").id()).isEqualTo("known");
    keys.ask(own, "Quillfern", "b.zip", false);
    assertThatThrownBy(() -> keys.ask(other, " quillFERN", "c.zip", false))
        .hasMessageContaining("not signed with the key that you have known since");
    keys.ask(other, "Quillfern", "c.zip", true);
    keys.see(other, "Quillfern", "sha3");
    keys.ask(other, "Quillfern", "d.zip", false);
    assertThat(keys.vouched(other, "Quillfern", "sha3").doubtful()).isTrue();
    keys.ask(other, "", "e.zip", false); // nobody's: there is nobody to take it for
    assertThat(keys.vouched(Signed.read(null, list), "", "sha4").doubtful()).isFalse();
  }
}
