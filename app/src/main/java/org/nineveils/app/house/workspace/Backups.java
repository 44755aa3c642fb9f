package org.nineveils.app.house.workspace;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.data.Room;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.base.start.BackupFile;
import org.nineveils.refusal.Refusal;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** All of the workspace as one file, made while the application runs. */
@Service
class Backups implements JobKind {
  private static final String ID = "backup";
  private static final String SUBJECT = "workspace";

  private final JdbcClient db;
  private final Blobs blobs;
  private final Named named;
  private final Keeping keeping;
  private final Clock clock;
  private final Jobs jobs;

  Backups(JdbcClient db, Blobs blobs, Named named, Keeping keeping, Clock clock, Jobs jobs) {
    this.db = db;
    this.blobs = blobs;
    this.named = named;
    this.keeping = keeping;
    this.clock = clock;
    this.jobs = jobs;
  }

  /**
   * Starts one as a job.
   *
   * @param photos whether photos, and what was painted on them, go in
   */
  Job start(boolean photos) {
    return jobs.start(ID, SUBJECT, "Backup of everything", new Asked(photos));
  }

  private record Asked(boolean photos) {}

  @Override
  public Nature nature() {
    return new Nature(
        ID, Turn.PATIENT, Restart.CUT_OFF); // of one moment: it does not go on after a restart
  }

  @Override
  public void run(JobRun run) throws IOException {
    boolean photos = run.asked(Asked.class).photos();
    Path file = run.folder().resolve("backup.zip");
    Optional<BackupFile.Facts> made =
        written(
            file,
            photos,
            (files, out) -> {
              run.total(files.size(), 0);
              for (String sha : files) {
                if (run.isStopped()) {
                  return false;
                }
                out.file(sha, blobs.file(sha));
                run.done();
              }
              return true;
            });
    if (made.isEmpty()) {
      return;
    }
    String day = LocalDate.now(clock.withZone(ZoneOffset.UTC)).toString();
    run.result("backup.zip", "nine-veils-%s.backup.zip".formatted(day));
    run.said(
        String.format(
            Locale.ROOT,
            "%,d MB in one file, read back whole.",
            Math.max(1, Files.size(file) >> 20)));
  }

  /**
   * The same at once, to a file that is not there yet.
   *
   * @throws IOException where it could not be written; nothing of it is left then
   */
  BackupFile.Facts write(Path file, boolean photos) throws IOException {
    return written(
            file,
            photos,
            (files, out) -> {
              for (String sha : files) {
                out.file(sha, blobs.file(sha));
              }
              return true;
            })
        .orElseThrow();
  }

  /** Writes kept files into a backup; false where it was stopped. */
  private interface Filling {
    boolean fill(Set<String> files, BackupFile.Writer out) throws IOException;
  }

  /**
   * Writes a backup aside, checks it whole as a restore would, and only then gives it its name:
   * what cannot be restored is never handed out. A file that cannot be read ends it.
   *
   * @return what it holds; empty where it was stopped: nothing is left then, nor where it fails
   */
  private Optional<BackupFile.Facts> written(Path file, boolean photos, Filling filling)
      throws IOException {
    Path copy = file.resolveSibling(file.getFileName() + ".database.part");
    Path aside = file.resolveSibling(file.getFileName() + ".part");
    if (!keeping.backupBegins()) {
      throw new Refusal("The folder is being tidied; make the backup when that is done.");
    }
    try {
      Set<String> files = copy(copy, photos);
      boolean whole;
      try (BackupFile.Writer out = new BackupFile.Writer(aside, facts(photos, files), copy)) {
        whole = filling.fill(files, out);
      }
      if (!whole) {
        return Optional.empty();
      }
      BackupFile.Facts read = BackupFile.check(aside);
      Files.move(aside, file);
      return Optional.of(read);
    } finally {
      keeping.backupEnded();
      Files.deleteIfExists(copy);
      Files.deleteIfExists(aside);
    }
  }

  private BackupFile.Facts facts(boolean photos, Set<String> files) {
    return new BackupFile.Facts(
        clock.instant().truncatedTo(ChronoUnit.SECONDS).toString(),
        photos,
        count("kit"),
        count("effect"),
        files.size());
  }

  private int count(String table) {
    return db.sql("select count(*) from " + table).query(Integer.class).single();
  }

  /**
   * Copies the database as it is at one moment.
   *
   * @return names of the kept files that belong to it
   */
  private Set<String> copy(Path to, boolean photos) throws IOException {
    Files.deleteIfExists(to);
    Room.check(to.getParent(), room());
    Set<String> names = named.all();
    db.sql("vacuum into ?").param(to.toString()).update();
    Set<String> files = new TreeSet<>(blobs.all().keySet()); // after it: all that it names is there
    names.addAll(named.all());
    files.retainAll(names); // what nothing names is no part of the workspace
    if (!photos) {
      files.removeAll(new HashSet<>(db.sql("select sha from photo").query(String.class).list()));
      withoutPhotos(to);
    }
    return files;
  }

  /** Bytes of the database. */
  private long room() {
    return db.sql("select page_count * page_size from pragma_page_count, pragma_page_size")
        .query(Long.class)
        .single();
  }

  /**
   * Photos go, and all that hangs on them: paint, fittings, regions; what was undone is forgotten.
   */
  private static void withoutPhotos(Path database) throws IOException {
    try (Connection own = DriverManager.getConnection("jdbc:sqlite:" + database);
        Statement act = own.createStatement()) {
      act.execute("pragma foreign_keys = on");
      act.execute("delete from edit");
      act.execute("delete from photo");
      act.execute("delete from reading");
      act.execute("vacuum");
    } catch (SQLException e) {
      throw new IOException("photos could not be left out", e);
    }
  }
}
