package org.nineveils.app.base.start;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Database;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Checksums;

/**
 * Backups damaged in many ways, some with a manifest that fits again: taken, or refused in words.
 */
class BackupFileTest {
  private static final int MUTANTS = Integer.getInteger("nineveils.mutants", 60);

  @TempDir Path folder;

  private Path backup(Path database) throws IOException {
    byte[] kept = {1, 2, 3, 4};
    Path file = Files.write(folder.resolve("kept"), kept);
    Path out = folder.resolve("b.zip");
    var facts = new BackupFile.Facts("2026-01-01T00:00:00Z", true, 0, 0, 1);
    try (BackupFile.Writer writer = new BackupFile.Writer(out, facts, database)) {
      writer.file(Checksums.sha256(kept), file);
    }
    return out;
  }

  private Path database() throws Exception {
    try (Database database = new Database(folder)) {
      database.client().sql("insert into kit (name, name_key) values ('K', 'k')").update();
    }
    Path file = folder.resolve("nine-veils.db");
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + file)) {
      db.createStatement().execute("pragma journal_mode = delete");
    }
    return file;
  }

  private static byte[] damaged(byte[] sound, Random random) {
    byte[] out = sound.clone();
    for (int i = 0; i <= random.nextInt(4); i++) {
      out[random.nextInt(out.length)] = (byte) random.nextInt(256);
    }
    return random.nextInt(6) == 0 ? java.util.Arrays.copyOf(out, random.nextInt(out.length)) : out;
  }

  @Test
  void aDamagedBackupIsRefusedWithASentence() throws Exception {
    byte[] sound = Files.readAllBytes(backup(database()));
    int refused = 0;
    for (int seed = 0; seed < MUTANTS; seed++) {
      Path mutant = Files.write(folder.resolve("m.zip"), damaged(sound, new Random(seed)));
      try {
        BackupFile.check(mutant);
      } catch (Refusal e) {
        assertThat(e.getMessage()).as("seed %d", seed).contains("m.zip").endsWith(".");
        refused++;
      }
    }
    assertThat(refused).isPositive();
  }

  @Test
  void aNameInABackupThatIsNoTextIsDamage() throws Exception {
    byte[] bytes = Files.readAllBytes(backup(database()));
    String text = new String(bytes, StandardCharsets.ISO_8859_1);
    bytes[text.indexOf("nine-veils.db") + 3] = (byte) 0xff;
    Path damaged = Files.write(folder.resolve("m.zip"), bytes);
    assertThatThrownBy(() -> BackupFile.check(damaged))
        .isInstanceOf(Refusal.class)
        .hasMessage("“m.zip” is damaged or no backup; nothing was changed.");
  }

  /** The manifest fits: only the database itself can tell. */
  @Test
  void aDamagedDatabaseInABackupTakesNoPlace() throws Exception {
    byte[] sound = Files.readAllBytes(database());
    Path there = Files.createDirectories(folder.resolve("there"));
    int refused = 0;
    for (int seed = 0; seed < Math.min(MUTANTS, 15); seed++) {
      Random random = new Random(seed);
      Path database = Files.write(folder.resolve("m.db"), damaged(damaged(sound, random), random));
      Path backup = backup(database);
      try {
        DataCheck.of(there, backup.toString(), false).close();
      } catch (CannotStart e) {
        assertThat(e.getMessage()).as("seed %d", seed).endsWith(".");
        assertThat(e.getMessage()).doesNotContain("SQLITE", "Exception");
        refused++;
      }
      assertThat(there.resolve("restoring")).doesNotExist();
    }
    assertThat(refused).isPositive();
  }
}
