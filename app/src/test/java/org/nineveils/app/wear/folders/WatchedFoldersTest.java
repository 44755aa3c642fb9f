package org.nineveils.app.wear.folders;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.undo.TestJournal;
import org.nineveils.app.photo.render.Result;
import org.nineveils.app.testing.Database;
import org.nineveils.document.Json;
import org.nineveils.name.NamePattern;
import org.nineveils.refusal.Refusal;
import org.springframework.mock.env.MockEnvironment;

class WatchedFoldersTest {
  @TempDir Path data;
  private Path root;
  private Database database;
  private Folders folders;
  private WatchedFolders watched;

  @BeforeEach
  void open() throws IOException {
    root = Files.createDirectories(data.resolve("photos"));
    database = new Database(data);
    folders = new Folders(new MockEnvironment().withProperty(Folders.PROPERTY, root.toString()));
    watched =
        new WatchedFolders(
            folders,
            new WatchStore(database.client()),
            TestJournal.on(database),
            Clock.systemUTC());
  }

  @AfterEach
  void close() {
    database.close();
  }

  private String watch(String from, String to) {
    Result how = Result.of(Json.read("{\"format\": \"jpg\", \"quality\": 90}", ""));
    return watched.watch(
        from,
        new WatchedFolders.Look(Map.of("worn", List.of()), "Milk", to, NamePattern.START, how));
  }

  /** An output that is a link to its input made 18 files in 25 s. */
  @Test
  void noLinkIsFollowedOutOfTheFolderOrBackIntoIt() throws IOException {
    Files.createDirectories(root.resolve("in"));
    Files.createSymbolicLink(root.resolve("loop"), root.resolve("in"));
    Path outside = Files.createDirectories(data.resolve("outside"));
    Files.writeString(outside.resolve("private.jpg"), "x");
    Files.createSymbolicLink(root.resolve("away"), outside);
    Files.createSymbolicLink(root.resolve("in/private.jpg"), outside.resolve("private.jpg"));
    assertThatThrownBy(() -> watch("in", "loop")).isInstanceOf(Refusal.class);
    assertThatThrownBy(() -> watch("away", "in")).hasMessageContaining("is a link");
    assertThatThrownBy(() -> folders.photos("away/deeper")).hasMessageContaining("is a link");
    assertThat(folders.names()).containsExactly("in");
    assertThat(folders.photos("in")).as("a photo that is a link is none").isEmpty();
    assertThat(watched.active()).isEmpty();
  }

  @Test
  void oneFolderUnderTwoNamesIsOneFolder() throws IOException {
    Files.createDirectories(root.resolve("in"));
    assertThat(folders.isSame(root.resolve("in"), root.resolve("./in"))).isTrue();
    assertThat(folders.isSame(root.resolve("in"), root.resolve("none"))).isFalse();
    watch("in", "out");
    assertThatThrownBy(() -> watch("other", "in")).hasMessageContaining("is watched itself");
    assertThatThrownBy(() -> watch("same", "same")).hasMessageContaining("taken for photos");
  }

  /** One that could not be read starved all behind it, and logged every 700 ms. */
  @Test
  void aFolderThatCannotBeLookedIntoIsToldOfAndIsNewsOnce() throws IOException {
    watch("in", "out");
    Files.delete(root.resolve("in"));
    Files.createSymbolicLink(root.resolve("in"), data);
    WatchRows.Watched folder = watched.active().get(0);
    assertThatThrownBy(() -> watched.there(folder)).isInstanceOf(Refusal.class);
    assertThat(watched.trouble(folder.id(), "“in” cannot be read.")).isTrue();
    assertThat(watched.trouble(folder.id(), "“in” cannot be read.")).isFalse();
    assertThat(watched.all().get(0).faults()).containsExactly("“in” cannot be read.");
    watched.trouble(folder.id(), "");
    assertThat(watched.all().get(0).faults()).isEmpty();
  }

  /** A file that was saved again while it waited was made twice. */
  @Test
  void aPhotoIsAnotherOneOnceItIsSavedAgain() throws IOException {
    watch("in", "out");
    Path photo = Files.writeString(root.resolve("in/a.jpg"), "one");
    Files.setLastModifiedTime(photo, FileTime.fromMillis(1_000_000));
    WatchRows.Watched folder = watched.active().get(0);
    WatchedFolders.Waiting before = watched.there(folder).get(0);
    assertThat(WatchedFolders.stamp(photo)).isEqualTo(before.stamp());
    Files.writeString(photo, "two");
    assertThat(WatchedFolders.stamp(photo)).isNotEqualTo(before.stamp());
    assertThat(watched.waiting(folder, watched.there(folder))).hasSize(1);
  }
}
