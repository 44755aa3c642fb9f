package org.nineveils.app.base.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Http;
import org.nineveils.app.testing.RunningApp;
import org.nineveils.app.testing.SmallDisk;

/** What keeps the application from starting is one sentence and exit status 1. */
class StartIT {
  @TempDir Path folder;

  private record Ended(int status, String said) {}

  /** Starts the packed application, which is expected to end by itself. */
  private Ended start(String password, String... more) throws Exception {
    List<String> command =
        new ArrayList<>(
            List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-Xmx256m",
                "-Dspring.aot.enabled=true",
                "-jar",
                "target/nine-veils.jar",
                "--nineveils.data=" + folder));
    command.addAll(List.of(more));
    if (List.of(more).stream().noneMatch(m -> m.startsWith("--server.port"))) {
      command.add("--server.port=0");
    }
    ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
    if (!password.isEmpty()) {
      builder.environment().put("NINEVEILS_PASSWORD", password);
    }
    Process process = builder.start();
    String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
    assertThat(process.waitFor(60, TimeUnit.SECONDS)).isTrue();
    return new Ended(process.exitValue(), said.strip());
  }

  private static void isOneSentence(Ended ended, String... says) {
    assertThat(ended.said())
        .contains(says)
        .doesNotContain("Exception", "\tat ", "\n")
        .endsWith(".");
    assertThat(ended.status()).isEqualTo(1);
  }

  @Test
  void aPortThatIsTaken() throws Exception {
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      int port = taken.getLocalPort();
      isOneSentence(
          start("", "--server.port=" + port), "port " + port + " is taken", "NINEVEILS_PORT");
    }
    isOneSentence(start("", "--server.port=often"), "server.port makes no sense");
    isOneSentence(start("", "--server.port=70000"), "NINEVEILS_PORT is 70000");
    isOneSentence(start("", "--server.address=nowhere.invalid"), "nowhere.invalid");
    isOneSentence(start(" "), "is blank");
    isOneSentence(start("", "--nineveils.stall=nonsense at all"), "NINEVEILS_STALL");
  }

  /** A password with a pattern of settings in it was printed, and the start failed. */
  @Test
  void aPasswordIsNeverPrintedAndAnOpenAddressNeedsOne() throws Exception {
    String secret = "${HOME}-secret-${";
    try (ServerSocket taken = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
      Ended ended = start(secret, "--server.port=" + taken.getLocalPort());
      isOneSentence(ended, "is taken");
      assertThat(ended.said()).doesNotContain("secret");
    }
    isOneSentence(start("", "--server.address=0.0.0.0"), "Set NINEVEILS_PASSWORD");
  }

  private void check() {
    DataCheck.of(folder, "", false).close();
  }

  @Test
  void aSecondApplicationOnTheSameFolder() {
    try (DataCheck first = DataCheck.of(folder, "", false)) {
      assertThat(first).isNotNull();
      assertThatThrownBy(this::check)
          .isInstanceOf(CannotStart.class)
          .hasMessageContaining("runs on the data folder " + folder + " already");
    }
    check();
  }

  private Path database() {
    return folder.resolve(DataCheck.DATABASE);
  }

  private void aDatabaseWithAKit() throws Exception {
    RunningApp app = RunningApp.on(folder, 0);
    new Http(app).json("POST", "/api/kits", "{\"name\": \"Kept\"}");
    app.close();
  }

  @Test
  void aDatabaseThatAnotherProgramHolds() throws Exception {
    aDatabaseWithAKit();
    try (Connection other = DriverManager.getConnection("jdbc:sqlite:" + database())) {
      other.createStatement().execute("begin exclusive");
      assertThatThrownBy(this::check)
          .isInstanceOf(CannotStart.class)
          .hasMessageContaining("Another program holds the database");
      other.createStatement().execute("rollback");
    }
    check();
  }

  @Test
  void aDamagedDatabaseIsSaidAndTheLastDailyCopyTakesItsPlaceWhenAsked() throws Exception {
    aDatabaseWithAKit();
    Path copies = Files.createDirectories(folder.resolve(DataCheck.COPIES));
    Files.copy(database(), copies.resolve("nine-veils-2026-03-01.db"));
    byte[] bytes = Files.readAllBytes(database());
    for (int i = 4096; i < bytes.length; i += 7) {
      bytes[i] ^= 0x5a;
    }
    Files.write(database(), bytes);
    assertThatThrownBy(this::check)
        .isInstanceOf(CannotStart.class)
        .hasMessageContaining("is damaged; nothing was changed")
        .hasMessageContaining("the daily copy of 2026-03-01 with “./nv restore”");
    assertThat(Files.readAllBytes(database())).isEqualTo(bytes);

    RunningApp restored = RunningApp.on(folder, 0, "--nineveils.restore=true");
    try {
      assertThat(new Http(restored).get("/kits").body()).contains("Kept");
    } finally {
      restored.close();
    }
    try (var all = Files.list(folder)) {
      assertThat(all.map(f -> f.getFileName().toString()))
          .as("the damaged one is kept")
          .anyMatch(name -> name.startsWith("set-aside-") && name.endsWith(DataCheck.DATABASE));
    }
    Files.writeString(database(), "this is no database at all, but it is long enough to be read");
    assertThatThrownBy(this::check).isInstanceOf(CannotStart.class).hasMessageContaining("damaged");
  }

  @Test
  void anEmptyDatabaseBesideKeptFiles() throws Exception {
    aDatabaseWithAKit();
    Files.delete(database());
    Files.createDirectories(folder.resolve("files").resolve("ab"));
    assertThatThrownBy(this::check)
        .isInstanceOf(CannotStart.class)
        .hasMessageContaining("There is no database in " + folder)
        .hasMessageContaining("--nineveils.fresh=true");
    DataCheck.of(folder, "", true).close();
  }

  @Test
  void aFolderThatCannotBeWritten() throws Exception {
    SmallDisk disk = SmallDisk.of(folder.resolve("disk"), 8);
    assumeTrue(disk != null, "a small disk can be made here");
    try {
      disk.readOnly();
      assertThatThrownBy(() -> DataCheck.of(disk.path(), "", false))
          .isInstanceOf(CannotStart.class)
          .hasMessageContaining("cannot be written");
    } finally {
      disk.close();
    }
  }

  /**
   * A failed write leaves nothing behind, viewing goes on, and so does a start on the full disk.
   */
  @Test
  void onAFullDiskWritesAreRefusedInWordsViewingGoesOnAndTheApplicationStarts() throws Exception {
    SmallDisk disk = SmallDisk.of(folder.resolve("disk"), 40);
    assumeTrue(disk != null, "a small disk can be made here");
    RunningApp app = RunningApp.on(disk.path(), 0);
    try {
      Http http = new Http(app);
      byte[] photo = Files.readAllBytes(Path.of("../demo/photos/pet-black-dog.jpg"));
      assertThat(http.upload("/api/photos/wall", "dog.jpg", photo).statusCode()).isEqualTo(200);
      http.json("POST", "/api/kits", "{\"name\": \"Before\"}");
      disk.fill();
      int files = count(disk.path().resolve("files"));
      byte[] other = Files.readAllBytes(Path.of("../demo/photos/pet-ginger-cat.jpg"));
      var refused = http.upload("/api/photos/wall", "cat.jpg", other);
      assertThat(refused.statusCode()).isEqualTo(507);
      assertThat(refused.body()).contains("The disk is full", "MB are needed");
      assertThat(count(disk.path().resolve("files"))).isEqualTo(files);
      for (int i = 0; i < 400; i++) { // until no page is left either
        var answer = http.json("POST", "/api/kits", "{\"name\": \"K%d\"}".formatted(i));
        if (answer.statusCode() != 200) {
          assertThat(answer.body()).contains("The disk is full");
          break;
        }
      }
      assertThat(http.get("/kits").body()).contains("Before");
      assertThat(http.get("/photos/1/small").statusCode()).isEqualTo(200);
      app.close();
      app = RunningApp.on(disk.path(), 0);
      assertThat(new Http(app).get("/kits").body()).contains("Before");
    } finally {
      app.close();
      disk.close();
    }
  }

  private static int count(Path folder) throws IOException {
    try (var all = Files.walk(folder)) {
      return (int) all.filter(Files::isRegularFile).count();
    }
  }

  /** It said “already there” and ended as if it had gone well. */
  @Test
  void aBackupIsNeverWrittenOverAFileAndThatIsNoGoodEnd() throws Exception {
    Path file = Files.writeString(folder.resolve("there.zip"), "mine");
    isOneSentence(start("", "--nineveils.backup=" + file), "it was not overwritten");
    assertThat(Files.readString(file)).isEqualTo("mine");
    Path next = folder.resolve("next.zip");
    Ended ended = start("", "--nineveils.backup=" + next);
    assertThat(ended.status()).as(ended.said()).isZero();
    assertThat(BackupFile.check(next).kits()).isZero();
    isOneSentence(start("", "--nineveils.backup=" + folder.resolve("no/such/b.zip")), "no backup");
    try (var all = Files.list(folder)) {
      assertThat(all.map(Path::toString)).noneMatch(name -> name.endsWith(".part"));
    }
  }
}
