package org.nineveils.app.house.workspace;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.data.TestBlobs;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.TestJournal;
import org.nineveils.app.testing.Database;
import org.nineveils.release.Checksums;
import org.springframework.mock.env.MockEnvironment;

class TidyTest {
  private static final Instant NOW = Instant.parse("2026-06-01T12:00:00Z");

  @TempDir Path folder;
  private Database database;
  private Journal journal;
  private Blobs blobs;
  private Tidy tidy;

  @BeforeEach
  void open() {
    database = new Database(folder);
    journal = TestJournal.on(database);
    blobs = TestBlobs.in(folder.resolve("files"));
    var environment = new MockEnvironment().withProperty("nineveils.data", folder.toString());
    Clock clock = Clock.fixed(NOW, ZoneOffset.UTC);
    Named named = new Named(database.client(), blobs);
    NeedlessFiles needless = new NeedlessFiles(environment, database.client(), blobs, named, clock);
    tidy = new Tidy(environment, database.client(), needless, new Keeping(), clock, null);
  }

  @AfterEach
  void close() {
    database.close();
  }

  /** A kept file, written a day before. */
  private String blob(String content) {
    String sha = blobs.put(content.getBytes(StandardCharsets.UTF_8));
    aged(folder.resolve("files").resolve(sha.substring(0, 2)).resolve(sha), Duration.ofDays(1));
    return sha;
  }

  private static Path aged(Path file, Duration age) {
    try {
      Files.setLastModifiedTime(file, FileTime.from(NOW.minus(age)));
      return file;
    } catch (IOException e) {
      throw new java.io.UncheckedIOException(e);
    }
  }

  private Path file(String path, Duration age) throws IOException {
    Path file = folder.resolve(path);
    Files.createDirectories(file.getParent());
    return aged(Files.write(file, new byte[1000]), age);
  }

  private void run(String sql) {
    database.client().sql(sql).update();
  }

  private void photo(int id, String sha) {
    run(
        "insert into photo (id, side, name, name_key, sha, width, height) values (%d, 'wall', 'p%d', 'p%d', '%s', 1, 1)"
            .formatted(id, id, id, sha));
  }

  @Test
  void aFileThatIsKeptAgainIsAsNewSinceItsNameMayNotBeStoredYet() throws Exception {
    String twice = blob("twice");
    List<Needless.Found> found = tidy.look().get(0).files();
    assertThat(found).hasSize(1);
    blobs.put("twice".getBytes(StandardCharsets.UTF_8));
    assertThat(tidy.look().get(0).files()).isEmpty();
    assertThat(found.get(0).letGo()).as("kept again between the look and the broom").isFalse();
    assertThat(blobs.has(twice)).isTrue();
  }

  @Test
  void whatAnythingNamesIsNeverCollectedTheJournalAndReleasesIncluded() {
    String photo = blob("a photo");
    String takenOff = blob("a photo that undo can bring back");
    String texture = blob("a texture in an effect");
    String oldTexture = blob("a texture in a step of undo");
    String swatch = blob("a texture in a swatch");
    String release = blob("a packed release");
    String nobodys = blob("nobody's");
    photo(1, photo);
    photo(2, takenOff);
    journal.edit(
        "photos:wall",
        "take off",
        () -> {
          run("delete from photo where id = 2");
          return 0;
        });
    run("insert into kit (id, name, name_key) values (1, 'K', 'k')");
    run(
        "insert into section (id, kit_id, number, name, name_key, rule) values (1, 1, 1, 'S', 's', 'x')");
    run(
        "insert into effect (id, kit_id, section_id, position, name, name_key, doc) values (1, 1, 1, 1, 'E', 'e', '{\"picture\":\"%s\"}')"
            .formatted(oldTexture));
    journal.edit(
        "effect:1",
        "another texture",
        () -> {
          run("update effect set doc = '{\"picture\":\"%s\"}'".formatted(texture));
          return 0;
        });
    run(
        "insert into swatch (name, name_key, doc) values ('W', 'w', '{\"picture\":\"%s\"}')"
            .formatted(swatch));
    run(
        "insert into packed_release (collection_id, name, version, file_name, sha, bytes, packed_at) values (9, 'C', '1.0', 'f', '%s', 1, 'x')"
            .formatted(release));

    assertThat(tidy.look().get(0).files()).hasSize(1);
    assertThat(blobs.has(nobodys)).as("looking changes nothing").isTrue();
    assertThat(tidy.tidy()).startsWith("1 file went");
    assertThat(blobs.all()).containsOnlyKeys(photo, takenOff, texture, oldTexture, swatch, release);
    assertThat(tidy.tidy()).isEqualTo("There was nothing to tidy.");
  }

  @Test
  void picturesOfAReleaseAreNamedByIt() throws Exception {
    String picture = blob("a picture that came with a release");
    var bytes = new ByteArrayOutputStream();
    try (var zip = new ZipOutputStream(bytes)) {
      zip.putNextEntry(new ZipEntry(Checksums.FILE));
      zip.write((picture + "  pictures/p.png\n").getBytes(StandardCharsets.UTF_8));
    }
    String release = blobs.put(bytes.toByteArray());
    run(
        "insert into desk_release (sha, name, version, makers_mark) values ('%s', 'R', '1.0', 'M')"
            .formatted(release));
    assertThat(tidy.look().get(0).files()).isEmpty();
    run("delete from desk_release");
    assertThat(tidy.look().get(0).files())
        .extracting(f -> f.path().getFileName().toString())
        .containsExactly(picture);
  }

  /** It may belong to a row that is being written. */
  @Test
  void aFileThatWasJustWrittenStays() {
    String fresh = blobs.put(new byte[] {1, 2, 3});
    aged(
        folder.resolve("files").resolve(fresh.substring(0, 2)).resolve(fresh),
        Duration.ofMinutes(5));
    tidy.tidy();
    assertThat(blobs.has(fresh)).isTrue();
  }

  @Test
  void halfWrittenFilesOldPicturesUnusedUploadsAndOldResultsGo() throws Exception {
    run(
        "insert into job (id, kind, subject, title, request, state, made_at, ended_at) values (7, 'k', 's', 't', '{}', 'done', 'x', '2026-05-30T00:00:00Z'), (8, 'k', 's', 't', '{}', 'done', 'x', '2026-04-01T00:00:00Z')");
    List<Path> go =
        List.of(
            file("files/new-1.part", Duration.ofHours(3)),
            file("thumbnails/new-2.part", Duration.ofHours(3)),
            file("thumbnails/ab/old.jpg", Duration.ofDays(40)),
            file("incoming/token", Duration.ofDays(2)),
            file("jobs/8/result.zip", Duration.ofDays(50)),
            file("jobs/99/of-no-job.zip", Duration.ofDays(1)));
    List<Path> stay =
        List.of(
            file("files/new-3.part", Duration.ofMinutes(2)),
            file("thumbnails/ab/new.jpg", Duration.ofDays(3)),
            file("incoming/other", Duration.ofHours(2)),
            file("jobs/7/result.zip", Duration.ofDays(2)));
    tidy.tidy();
    assertThat(go).allMatch(Files::notExists);
    assertThat(stay).allMatch(Files::exists);
  }

  @Test
  void stepsOfAScopeThatNobodyTouchedForThreeMonthsGoAndThoseOfOthersStay() {
    for (String scope : List.of("kit:1", "kit:2")) {
      for (int i = 0; i < 3; i++) {
        String value = scope + i;
        journal.edit(
            scope,
            "step " + i,
            () -> {
              run("insert into kit (name, name_key) values ('%s', '%s')".formatted(value, value));
              return 0;
            });
      }
    }
    run("update edit set made_at = '2026-01-01T00:00:00Z'");
    run(
        "update edit set made_at = '2026-05-20T00:00:00Z' where id = (select max(edit_id) from edit_scope where scope = 'kit:2')");
    tidy.tidy();
    assertThat(journal.possible("kit:1").undo()).isNull();
    assertThat(journal.possible("kit:2").undo().label()).isEqualTo("step 2");
    assertThat(database.client().sql("select count(*) from edit").query(Integer.class).single())
        .isEqualTo(3);
  }

  @Test
  void freePagesOfTheDatabaseAreGivenBack() throws Exception {
    run("insert into preference (name, value) values ('large', printf('%.*c', 9000000, 'x'))");
    run("delete from preference");
    database.client().sql("pragma wal_checkpoint(truncate)").query().listOfRows();
    long before = Files.size(folder.resolve("nine-veils.db"));
    assertThat(tidy.tidy()).contains("MB are free again");
    assertThat(Files.size(folder.resolve("nine-veils.db"))).isLessThan(before / 4);
  }
}
