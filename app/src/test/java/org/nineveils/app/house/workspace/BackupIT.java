package org.nineveils.app.house.workspace;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.Page;
import java.io.ByteArrayInputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import javax.imageio.ImageIO;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.base.start.BackupFile;
import org.nineveils.app.base.start.CannotStart;
import org.nineveils.app.base.start.DataCheck;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.document.Fields;
import org.nineveils.refusal.Refusal;

class BackupIT {
  @TempDir Path folder;
  private final Http demo = new Http(RunningApp.demo());

  private Path backup(boolean photos) throws Exception {
    Fields job = demo.job("/api/safe/backup", "{\"photos\": %s}".formatted(photos));
    assertThat(job.text("state")).isEqualTo("done");
    Path file = folder.resolve("b%s.zip".formatted(photos));
    return Files.write(file, demo.bytes("/jobs/%d/result".formatted(job.whole("id"))));
  }

  private static Map<String, Long> sizes(Path file) throws Exception {
    try (ZipFile zip = new ZipFile(file.toFile())) {
      return zip.stream().collect(Collectors.toMap(ZipEntry::getName, ZipEntry::getSize));
    }
  }

  @Test
  void aWorkspaceIsTheSameAfterItWasBackedUpWhileItRanAndRestoredElsewhere() throws Exception {
    Path file = backup(true);
    assertThat(BackupFile.check(file).photos()).isTrue();
    Path there = folder.resolve("there");
    RunningApp other = RunningApp.on(there, 0, "--nineveils.restore=" + file);
    try {
      Http http = new Http(other);
      String kits = "/kits/file?kits=1,2,3";
      assertThat(http.bytes(kits)).startsWith('P', 'K').isEqualTo(demo.bytes(kits));
      for (String address : List.of("/photos/6/small", "/effects/4/on/1")) {
        byte[] picture = http.bytes(address);
        assertThat(ImageIO.read(new ByteArrayInputStream(picture))).as(address).isNotNull();
        assertThat(picture).as(address).isEqualTo(demo.bytes(address));
      }
      assertThat(http.get("/api/effects/4?photo=1").body())
          .isEqualTo(demo.get("/api/effects/4?photo=1").body());
    } finally {
      other.close();
    }
  }

  @Test
  void withoutPhotosKitsComeAloneAndAreWhole() throws Exception {
    Path file = backup(false);
    Map<String, Long> bare = sizes(file);
    Map<String, Long> whole = sizes(backup(true));
    assertThat(whole).containsKeys(bare.keySet().toArray(new String[0]));
    long photos = 0;
    try (Stream<Path> shipped = Files.list(Path.of("../demo/photos"))) {
      for (Path photo : shipped.filter(p -> p.toString().endsWith(".jpg")).toList()) {
        photos += Files.size(photo);
      }
    }
    whole.keySet().removeAll(bare.keySet());
    assertThat(whole.values().stream().mapToLong(size -> size).sum())
        .as("what is left out is at least the photos")
        .isGreaterThanOrEqualTo(photos);
    Path there = folder.resolve("bare");
    RunningApp other = RunningApp.on(there, 0, "--nineveils.restore=" + file);
    try {
      Http http = new Http(other);
      String kit = "/kits/file?kits=1";
      assertThat(http.bytes(kit)).startsWith('P', 'K').isEqualTo(demo.bytes(kit));
      assertThat(http.get("/api/photos/wall").body()).doesNotContain("Black dog");
      assertThat(http.get("/kits/1").statusCode()).isEqualTo(200);
    } finally {
      other.close();
    }
  }

  @Test
  void whatIsBroughtBackTakesThePlaceAtTheNextStartAndWhatWasThereIsSetAside() throws Exception {
    Path file = backup(true);
    Path there = folder.resolve("again");
    RunningApp first = RunningApp.on(there, 0);
    try (var observed = first.page()) {
      Http http = new Http(first);
      http.json("POST", "/api/kits", "{\"name\": \"Mine before\"}");
      Page page = observed.page();
      page.navigate("/safe");
      page.locator("[data-restore]").setInputFiles(file);
      page.locator("dialog[data-asks]").waitFor();
      assertThat(page.locator("dialog[data-asks]").innerText())
          .contains("3 kits", "set aside and not overwritten");
      page.locator("dialog[data-asks]").getByText("Let it take the place").click();
      page.getByText("A backup takes the place of what is here at the next start.").waitFor();
      assertThat(http.get("/kits").body()).contains("Mine before");
      assertThat(observed.faults()).isEmpty();
    } finally {
      first.close();
    }
    RunningApp second = RunningApp.on(there, 0);
    try {
      String kits = new Http(second).get("/kits").body();
      assertThat(kits).contains("Willow Basket").doesNotContain("Mine before");
      assertThat(new Http(second).get("/safe").body()).contains("set-aside-");
    } finally {
      second.close();
    }
    try (Stream<Path> all = Files.list(there)) {
      assertThat(all).anyMatch(f -> f.getFileName().toString().startsWith("set-aside-"));
    }
    assertThat(there.resolve(DataCheck.NEXT)).doesNotExist();
  }

  @Test
  void aDamagedBackupIsRefusedBeforeAnythingTakesAPlace() throws Exception {
    Path file = backup(true);
    byte[] bytes = Files.readAllBytes(file);
    bytes[bytes.length / 2] ^= 0x20;
    Files.write(file, bytes);
    assertThatThrownBy(() -> BackupFile.check(file))
        .isInstanceOf(Refusal.class)
        .hasMessageContaining(file.getFileName().toString());
    Path there = folder.resolve("kept");
    RunningApp.on(there, 0).close();
    byte[] before = Files.readAllBytes(there.resolve(DataCheck.DATABASE));
    assertThatThrownBy(() -> DataCheck.of(there, file.toString(), false))
        .isInstanceOf(CannotStart.class);
    assertThat(Files.readAllBytes(there.resolve(DataCheck.DATABASE))).isEqualTo(before);
    Path odd = Files.writeString(folder.resolve("odd.zip"), "no backup");
    assertThatThrownBy(() -> BackupFile.check(odd)).isInstanceOf(Refusal.class);
  }

  @Test
  void whatLiesWhereAndHowLargeIsTold() {
    String page = demo.get("/safe").body();
    assertThat(page).contains("nine-veils.db", "files", "thumbnails", "the last seven are kept");
    assertThat(page).contains(RunningApp.demo().data().toString());
  }

  /** The backup with its database changed by a stranger, and its manifest made to fit again. */
  private Path crafted(Path file, String name, String... statements) throws Exception {
    Path database = folder.resolve(name + ".db");
    Path out = folder.resolve(name + ".zip");
    BackupFile.Facts facts = BackupFile.check(file);
    try (ZipFile zip = new ZipFile(file.toFile())) {
      Files.copy(zip.getInputStream(zip.getEntry(DataCheck.DATABASE)), database);
      try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + database);
          Statement act = db.createStatement()) {
        for (String sql : statements) {
          act.execute(sql);
        }
      }
      try (BackupFile.Writer writer = new BackupFile.Writer(out, facts, database)) {
        for (var entry : zip.stream().filter(e -> e.getName().startsWith("files/")).toList()) {
          Path kept = folder.resolve("kept");
          Files.copy(zip.getInputStream(entry), kept, StandardCopyOption.REPLACE_EXISTING);
          writer.file(entry.getName().substring(6), kept);
        }
      }
    }
    return out;
  }

  /** A trigger in a foreign backup deleted all effects when a kit was made. */
  @Test
  void ofAStrangersDatabaseRowsAreTakenAndNothingIsRun() throws Exception {
    Path file =
        crafted(
            backup(true),
            "foreign",
            "create trigger evil after insert on kit begin delete from effect; end",
            "create view evil_view as select * from kit",
            "insert into job (kind, subject, title, request, state, made_at) values ('batch', 'fitting:1', 'Batch', '{}', 'running', '2026-01-01T00:00:00Z')");
    Path there = folder.resolve("foreign");
    RunningApp other = RunningApp.on(there, 0, "--nineveils.restore=" + file);
    try {
      Http http = new Http(other);
      assertThat(http.json("POST", "/api/kits", "{\"name\": \"Made here\"}").statusCode())
          .isEqualTo(200);
      assertThat(http.bytes("/kits/file?kits=1,2,3"))
          .isEqualTo(demo.bytes("/kits/file?kits=1,2,3"));
      assertThat(http.get("/api/jobs?all=true").body())
          .contains("\"state\":\"cut off\"", "is not run again")
          .doesNotContain("\"state\":\"running\"");
      assertThat(http.get("/api/rack/1").body()).contains("Third of a stop");
    } finally {
      other.close();
    }
    try (Connection db =
            DriverManager.getConnection("jdbc:sqlite:" + there.resolve(DataCheck.DATABASE));
        Statement ask = db.createStatement();
        var evil = ask.executeQuery("select count(*) from sqlite_master where name like 'evil%'")) {
      assertThat(evil.getInt(1)).isZero();
    }
  }

  @Test
  void aDatabaseOfANewerProgramOrOfAnotherIsRefused() throws Exception {
    Path own = backup(true);
    Path newer =
        crafted(
            own,
            "newer",
            "insert into flyway_schema_history select 99, '99', 'later', 'SQL', 'V99', 1, installed_by, installed_on, 1, 1 from flyway_schema_history limit 1");
    Path odd = crafted(own, "odd", "alter table kit add column more text");
    Path loose =
        crafted(
            own,
            "loose",
            "pragma foreign_keys = off",
            "insert into section (kit_id, number, name, name_key, rule) values (999, 1, 'S', 's', 'stack-freely')");
    Path there = folder.resolve("there");
    RunningApp.on(there, 0).close();
    byte[] before = Files.readAllBytes(there.resolve(DataCheck.DATABASE));
    for (Path file : List.of(newer, odd, loose)) {
      assertThatThrownBy(() -> DataCheck.of(there, file.toString(), false))
          .as(file.toString())
          .isInstanceOf(CannotStart.class)
          .hasMessageContaining(file == newer ? "newer version of Nine Veils" : "none of ours");
    }
    assertThat(Files.readAllBytes(there.resolve(DataCheck.DATABASE))).isEqualTo(before);
    try (Connection db =
            DriverManager.getConnection("jdbc:sqlite:" + there.resolve(DataCheck.DATABASE));
        Statement act = db.createStatement()) {
      act.execute("update flyway_schema_history set version = '99' where installed_rank = 14");
    }
    assertThatThrownBy(() -> DataCheck.of(there, "", false))
        .isInstanceOf(CannotStart.class)
        .hasMessageContaining("was made by a newer version of Nine Veils");
  }

  /** Backups that could not be restored were handed out, and the next one said “already there”. */
  @Test
  void aBackupThatCouldNotBeRestoredIsNotHandedOut() throws Exception {
    Path there = folder.resolve("torn");
    RunningApp app = RunningApp.on(there, 0);
    try {
      Http http = new Http(app);
      byte[] dog = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
      String sha =
          org.nineveils.document.Json.read(
                  http.upload("/api/photos/wall", "dog.jpg", dog).body(), "")
              .text("sha");
      Path kept = there.resolve("files").resolve(sha.substring(0, 2)).resolve(sha);
      Files.write(kept, new byte[] {1, 2, 3}); // as a failing disk leaves it
      Fields job = http.job("/api/safe/backup", "{\"photos\": true}");
      assertThat(job.text("state")).isEqualTo("failed");
      assertThat(job.text("said")).contains("is damaged", sha);
      assertThat(http.get("/jobs/%d/result".formatted(job.whole("id"))).statusCode())
          .isEqualTo(404);
      try (Stream<Path> left = Files.walk(there.resolve("jobs"))) {
        assertThat(left.filter(Files::isRegularFile)).isEmpty();
      }
    } finally {
      app.close();
    }
  }

  /** Only what the workspace names goes in: what nothing names may be tidied away meanwhile. */
  @Test
  void filesThatNothingNamesAreNoPartOfABackup() throws Exception {
    Path there = folder.resolve("spare");
    RunningApp app = RunningApp.on(there, 0);
    try {
      String spare = "ab".repeat(32);
      Path kept = there.resolve("files/ab").resolve(spare);
      Files.createDirectories(kept.getParent());
      Files.write(kept, new byte[] {1});
      Http http = new Http(app);
      Fields job = http.job("/api/safe/backup", "{\"photos\": true}");
      assertThat(job.text("state")).as(job.text("said")).isEqualTo("done");
      Path file = folder.resolve("spare.zip");
      Files.write(file, http.bytes("/jobs/%d/result".formatted(job.whole("id"))));
      assertThat(BackupFile.check(file).files()).isZero();
    } finally {
      app.close();
    }
  }
}
