package org.nineveils.app.base.start;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.Comparator;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import org.nineveils.refusal.Refusal;

/**
 * Looks at the data folder before the database is opened: that it can be written, that nobody else
 * has it, that the database is whole and there where its files are. A damaged one can be replaced
 * by the last daily copy; the damaged file is kept beside it.
 */
public final class DataCheck implements AutoCloseable {
  /** Name of the database in the data folder. */
  public static final String DATABASE = "nine-veils.db";

  /** Folder of daily copies in the data folder. */
  public static final String COPIES = "copies";

  /** A backup that takes the place of what is here at the next start. */
  public static final String NEXT = "restore-next.zip";

  private static final int BUSY_MS = 3000;

  private final Path folder;
  private FileChannel channel;
  private FileLock lock;

  private DataCheck(Path folder) {
    this.folder = folder;
  }

  /**
   * Checks a folder and holds it until it is closed.
   *
   * @param restore what takes the place of what is here: “true” for the last daily copy, or the
   *     path of a backup; empty for nothing
   * @param fresh an empty database beside kept files is what is wanted
   * @throws CannotStart with a sentence if it cannot be used
   */
  public static DataCheck of(Path folder, String restore, boolean fresh) {
    DataCheck check = new DataCheck(folder);
    check.folderIsOurs();
    try {
      Reserve.makeRoom(folder, check.database());
      check.restore(restore);
      check.databaseIsWhole(fresh);
      return check;
    } catch (RuntimeException e) {
      check.close();
      throw e;
    }
  }

  private void folderIsOurs() {
    try {
      Files.createDirectories(folder);
      channel =
          FileChannel.open(
              folder.resolve(".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
      lock = channel.tryLock();
    } catch (OverlappingFileLockException e) {
      lock = null;
    } catch (IOException e) {
      throw new CannotStart(
          "Nine Veils cannot start: the data folder %s cannot be written.".formatted(folder), e);
    }
    if (lock == null) {
      close();
      throw new CannotStart(
          "Nine Veils runs on the data folder %s already; use that one, or end it first."
              .formatted(folder));
    }
    if (!Files.isWritable(folder)) {
      close();
      throw new CannotStart(
          "Nine Veils cannot start: the data folder %s cannot be written.".formatted(folder));
    }
  }

  private Path database() {
    return folder.resolve(DATABASE);
  }

  /** The last daily copy, if there is one. */
  private Optional<Path> lastCopy() {
    Path copies = folder.resolve(COPIES);
    if (!Files.isDirectory(copies)) {
      return Optional.empty();
    }
    try (Stream<Path> all = Files.list(copies)) {
      return all.filter(f -> f.getFileName().toString().endsWith(".db"))
          .max(Comparator.comparing(Path::getFileName));
    } catch (IOException e) {
      return Optional.empty();
    }
  }

  private void restore(String from) {
    Path next = folder.resolve(NEXT);
    if (from.equals("true")) {
      restoreCopy();
    } else if (!from.isEmpty() && !from.equals("false")) {
      restoreBackup(Path.of(from));
    } else if (Files.exists(next)) {
      try {
        restoreBackup(next);
      } catch (CannotStart e) {
        throw new CannotStart(
            "%s Take %s away to start with what is here.".formatted(e.getMessage(), next), e);
      }
      try {
        Files.delete(next);
      } catch (IOException e) {
        throw new CannotStart("The backup %s cannot be taken away.".formatted(next), e);
      }
    }
  }

  private void restoreCopy() {
    Path copy =
        lastCopy()
            .orElseThrow(
                () ->
                    new CannotStart(
                        "There is no daily copy in %s to restore."
                            .formatted(folder.resolve(COPIES))));
    try {
      Files.copy(copy, folder.resolve("restoring"), StandardCopyOption.REPLACE_EXISTING);
      putInPlace();
    } catch (Refusal e) {
      throw new CannotStart("%s: %s".formatted(copy.getFileName(), e.getMessage()), e);
    } catch (IOException e) {
      throw new CannotStart("The daily copy %s could not be put in place.".formatted(copy), e);
    }
  }

  /** A backup is checked whole before anything of it takes a place. */
  private void restoreBackup(Path backup) {
    if (!Files.isRegularFile(backup)) {
      throw new CannotStart("There is no file %s to restore.".formatted(backup));
    }
    try {
      BackupFile.check(backup);
      BackupFile.unpack(backup, folder);
      putInPlace();
    } catch (Refusal e) {
      String said = e.getMessage().startsWith("“") ? "" : backup.getFileName() + ": ";
      throw new CannotStart(said + e.getMessage(), e);
    } catch (IOException e) {
      throw new CannotStart("The backup %s could not be put in place.".formatted(backup), e);
    }
  }

  /**
   * The database that lies ready takes its place, as a clean copy; the one that was there is set
   * aside.
   */
  private void putInPlace() throws IOException {
    Path ready = folder.resolve("restoring");
    try {
      CleanCopy.of(ready);
    } catch (Refusal | IOException e) {
      Files.deleteIfExists(ready);
      throw e;
    }
    String mark = String.valueOf(System.currentTimeMillis());
    for (String ending : new String[] {"", "-wal", "-shm"}) {
      Path file = folder.resolve(DATABASE + ending);
      if (Files.exists(file)) {
        Files.move(file, folder.resolve("set-aside-" + mark + "-" + DATABASE + ending));
      }
    }
    Files.move(ready, database(), StandardCopyOption.ATOMIC_MOVE);
  }

  private void databaseIsWhole(boolean fresh) {
    boolean there = Files.exists(database());
    try {
      if (!there || Files.size(database()) == 0) {
        if (!fresh && (hasFiles() || lastCopy().isPresent())) {
          throw new CannotStart(
              "There is no database in %s, but there are files that belong to one. Put it back%s, or start with --nineveils.fresh=true to begin anew."
                  .formatted(folder, offer()));
        }
        return;
      }
    } catch (IOException e) {
      throw new CannotStart("The database in %s cannot be read.".formatted(folder), e);
    }
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + database());
        Statement ask = db.createStatement()) {
      ask.execute("pragma busy_timeout = " + BUSY_MS);
      try (ResultSet says = ask.executeQuery("pragma quick_check(1)")) {
        if (!says.next() || !says.getString(1).equalsIgnoreCase("ok")) {
          throw damaged(null);
        }
      }
      if (isNewer(ask)) {
        throw new CannotStart(
            "The database %s was made by a newer version of Nine Veils; start that one. Nothing was changed."
                .formatted(database()));
      }
      ask.execute("begin immediate");
      ask.execute("rollback");
    } catch (SQLException e) {
      String says = String.valueOf(e.getMessage()).toLowerCase(Locale.ROOT);
      if (says.contains("busy") || says.contains("locked")) {
        throw new CannotStart(
            "Another program holds the database %s. Close it, then start again."
                .formatted(database()),
            e);
      }
      if (says.contains("notadb") || says.contains("corrupt") || says.contains("malformed")) {
        throw damaged(e);
      }
      if (!says.contains("full")) { // to look at what is there needs no room
        throw new CannotStart("The database %s cannot be opened.".formatted(database()), e);
      }
    }
  }

  private static boolean isNewer(Statement ask) throws SQLException {
    try (ResultSet there =
        ask.executeQuery("select 1 from sqlite_master where name = 'flyway_schema_history'")) {
      if (!there.next()) {
        return false; // nothing was migrated yet
      }
    }
    return CleanCopy.version(ask) > CleanCopy.NEWEST;
  }

  private CannotStart damaged(SQLException cause) {
    return new CannotStart(
        "The database %s is damaged; nothing was changed. Bring back a copy of yours%s."
            .formatted(database(), offer()),
        cause);
  }

  /** What can be done about it, where there is a copy. */
  private String offer() {
    return lastCopy()
        .map(
            copy ->
                ", restore the daily copy of %s with “./nv restore”"
                    .formatted(
                        String.valueOf(copy.getFileName())
                            .replaceFirst(".*?([0-9]{4}-[0-9]{2}-[0-9]{2}).*", "$1")))
        .orElse("");
  }

  private boolean hasFiles() throws IOException {
    Path files = folder.resolve("files");
    if (!Files.isDirectory(files)) {
      return false;
    }
    try (Stream<Path> all = Files.list(files)) {
      return all.findAny().isPresent();
    }
  }

  @Override
  public void close() {
    try {
      if (lock != null) {
        lock.release();
      }
      if (channel != null) {
        channel.close();
      }
    } catch (IOException e) {
      // the end of the process releases it too
    }
  }
}
