package org.nineveils.app.house.workspace;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.release.Checksums;
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

  /** Strokes and readings hold numbers alone. */
  private static final Set<String> WITHOUT_NAMES =
      Set.of("stroke", "fitting_stroke", "region_stroke", "reading");

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
                names(row.getString(1), found);
              });
    }
  }

  private static void names(String text, Set<String> found) {
    Matcher names = NAME.matcher(text);
    while (names.find()) {
      found.add(names.group());
    }
  }

  /**
   * A release at the desk has its pictures on the shelf under their own names, which stand in its
   * list of checksums. Of other files only the first bytes are read.
   */
  private void ofRelease(String sha, Set<String> found) {
    if (!blobs.has(sha)) {
      return;
    }
    try (InputStream in = Files.newInputStream(blobs.file(sha))) {
      if (!new String(in.readNBytes(2), StandardCharsets.ISO_8859_1).equals("PK")) {
        return;
      }
    } catch (IOException e) {
      throw new UncheckedIOException("a kept file could not be read", e);
    }
    try (ZipFile zip = new ZipFile(blobs.file(sha).toFile())) {
      ZipEntry list = zip.getEntry(Checksums.FILE);
      if (list != null) {
        names(new String(zip.getInputStream(list).readAllBytes(), StandardCharsets.UTF_8), found);
      }
    } catch (IOException e) {
      // no release, kept as a file all the same
    }
  }
}
