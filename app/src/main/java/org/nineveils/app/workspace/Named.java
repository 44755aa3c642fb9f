package org.nineveils.app.workspace;

import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.nineveils.app.data.Blobs;
import org.nineveils.release.ReleaseException;
import org.nineveils.release.ReleaseReader;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Which kept files are named anywhere: in photos, documents, swatches, releases, jobs and the
 * journal, and which pictures the releases among them hold. Whatever looks like a name in any text
 * of the database counts as one, so that a new table or a new place in a document cannot be
 * forgotten.
 */
@Component
class Named {
  private static final Pattern NAME =
      Pattern.compile("(?<![0-9a-f])" + Blobs.NAME + "(?![0-9a-f])");

  /** Strokes hold numbers alone. */
  private static final Set<String> WITHOUT_NAMES = Set.of("stroke", "fitting_stroke");

  private final JdbcClient db;
  private final Blobs blobs;

  Named(JdbcClient db, Blobs blobs) {
    this.db = db;
    this.blobs = blobs;
  }

  /** The names. */
  Set<String> all() {
    Set<String> found = new HashSet<>();
    List<String> tables =
        db.sql("select name from sqlite_master where type = 'table' and name not like 'sqlite_%'")
            .query(String.class)
            .list();
    for (String table : tables) {
      if (!WITHOUT_NAMES.contains(table)) {
        inTable(table, found);
      }
    }
    for (String sha : List.copyOf(found)) {
      ofRelease(sha, found);
    }
    return found;
  }

  private void inTable(String table, Set<String> found) {
    List<String> columns =
        db.sql("select name from pragma_table_info(?) where lower(type) like '%text%'")
            .param(table)
            .query(String.class)
            .list();
    for (String column : columns) {
      db.sql("select %s from %s where length(%s) >= 64".formatted(column, table, column))
          .query(
              row -> {
                Matcher names = NAME.matcher(row.getString(1));
                while (names.find()) {
                  found.add(names.group());
                }
              });
    }
  }

  /** A release at the desk has its pictures on the shelf under their own names. */
  private void ofRelease(String sha, Set<String> found) {
    if (!blobs.has(sha)) {
      return;
    }
    byte[] file = blobs.get(sha);
    if (file.length > 4 && file[0] == 'P' && file[1] == 'K') {
      try {
        found.addAll(ReleaseReader.read(file, sha).pictures().keySet());
      } catch (ReleaseException e) {
        // kept as a file all the same
      }
    }
  }
}
