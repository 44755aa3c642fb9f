package org.nineveils.app.base.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.MigrationVersion;
import org.nineveils.refusal.Refusal;

/**
 * Takes the rows of a database that came from elsewhere over into one of ours, made by our own
 * migrations: of a stranger's file nothing is run, no trigger, no view, whatever stands in it. Jobs
 * that were under way there are not run again here.
 */
final class CleanCopy {
  /** Newest version of the database that this program knows: its last migration. */
  static final int NEWEST = 19;

  private static final String CUT_OFF =
      "It was under way when the backup was made, and is not run again. Start it anew.";

  private CleanCopy() {}

  /**
   * Puts a clean copy in the place of a database that lies ready.
   *
   * @param database a file that no application has open
   * @throws Refusal with a sentence if it is none of ours, damaged, or of a newer program
   */
  static void of(Path database) throws IOException {
    Path clean = database.resolveSibling(database.getFileName() + ".clean");
    Files.deleteIfExists(clean);
    try {
      int version = version(database);
      Flyway.configure()
          .dataSource("jdbc:sqlite:" + clean, "", "")
          .target(MigrationVersion.fromVersion(String.valueOf(version)))
          .load()
          .migrate();
      try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + clean);
          Statement act = db.createStatement()) {
        act.execute("pragma foreign_keys = off");
        act.execute("pragma trusted_schema = off");
        try (var attach = db.prepareStatement("attach ? as given")) {
          attach.setString(1, database.toString());
          attach.execute();
        }
        act.execute("begin");
        for (String table : tables(act)) {
          copy(act, table);
        }
        endJobs(act);
        act.execute("commit");
        checkReferences(act);
        act.execute("detach given");
        act.execute("pragma journal_mode = delete");
      }
      Files.move(clean, database, StandardCopyOption.REPLACE_EXISTING);
    } catch (SQLException | org.flywaydb.core.api.FlywayException e) {
      Refusal refusal =
          new Refusal("The database in it is damaged or none of ours; nothing was changed.");
      refusal.initCause(e);
      throw refusal;
    } finally {
      for (String ending : new String[] {"", "-wal", "-shm", "-journal"}) {
        Files.deleteIfExists(clean.resolveSibling(clean.getFileName() + ending));
        if (!ending.isEmpty()) {
          Files.deleteIfExists(database.resolveSibling(database.getFileName() + ending));
        }
      }
    }
  }

  /** Which version a database is of. */
  private static int version(Path database) throws SQLException {
    try (Connection db = DriverManager.getConnection("jdbc:sqlite:" + database);
        Statement ask = db.createStatement()) {
      ask.execute("pragma trusted_schema = off");
      int version = version(ask);
      if (version > NEWEST) {
        throw new Refusal(
            "It was made by a newer version of Nine Veils; open it with that one. Nothing was changed.");
      }
      return version;
    }
  }

  /** The highest version that was migrated to; 0 where nothing ever was. */
  static int version(Statement ask) throws SQLException {
    try (ResultSet says =
        ask.executeQuery(
            """
            select coalesce(max(cast(version as integer)), 0) from flyway_schema_history
            where success = 1""")) {
      return says.next() ? says.getInt(1) : 0;
    }
  }

  /** Our own tables, but for those of search, which follow the others by triggers of ours. */
  private static List<String> tables(Statement ask) throws SQLException {
    List<String> all = new ArrayList<>();
    List<String> virtual = new ArrayList<>();
    try (ResultSet rows =
        ask.executeQuery(
            """
            select name, sql like 'create virtual%' from main.sqlite_master
            where type = 'table' and name not like 'sqlite_%' and name <> 'flyway_schema_history'
            order by rowid""")) {
      while (rows.next()) {
        (rows.getBoolean(2) ? virtual : all).add(rows.getString(1));
      }
    }
    all.removeIf(t -> virtual.stream().anyMatch(v -> t.startsWith(v + "_")));
    all.add("sqlite_sequence"); // what ids were given: they are not given again
    return all;
  }

  private static void copy(Statement act, String table) throws SQLException {
    Set<String> ours = columns(act, "main", table);
    if (!ours.equals(columns(act, "given", table))) {
      throw new SQLException("the table " + table + " is another one");
    }
    String names = String.join(", ", ours);
    act.execute("delete from main.%s".formatted(table));
    act.execute("insert into main.%1$s (%2$s) select %2$s from given.%1$s".formatted(table, names));
  }

  private static Set<String> columns(Statement ask, String in, String table) throws SQLException {
    Set<String> out = new HashSet<>();
    try (ResultSet rows =
        ask.executeQuery(
            "select name from pragma_table_info('%s', '%s') where exists (select 1 from %s.sqlite_master where name = '%s' and type = 'table' or 'sqlite_sequence' = '%s')"
                .formatted(table, in, in, table, table))) {
      while (rows.next()) {
        out.add(rows.getString(1));
      }
    }
    return out;
  }

  private static void endJobs(Statement act) throws SQLException {
    if (!columns(act, "main", "job").isEmpty()) {
      act.execute(
          """
          update main.job set state = 'cut off', said = '%s',
            ended_at = strftime('%%Y-%%m-%%dT%%H:%%M:%%SZ', 'now')
          where state in ('waiting', 'running')"""
              .formatted(CUT_OFF));
    }
  }

  private static void checkReferences(Statement ask) throws SQLException {
    try (ResultSet broken = ask.executeQuery("pragma main.foreign_key_check")) {
      if (broken.next()) {
        throw new SQLException("a row of %s refers to nothing".formatted(broken.getString(1)));
      }
    }
  }
}
