package org.nineveils.app.workspace;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import org.nineveils.app.data.Blobs;
import org.nineveils.app.data.DataFolder;
import org.nineveils.app.data.Room;
import org.nineveils.app.jobs.JobKind;
import org.nineveils.app.jobs.JobRun;
import org.nineveils.app.jobs.Jobs;
import org.nineveils.app.start.DataCheck;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * Finds what nobody needs any more, and lets it go: kept files that nothing names, small pictures
 * that nobody looked at for a month, half-written files, results of old jobs, steps of undo that
 * were not touched for three months; and gives the database's free pages back.
 */
@Service
public class Tidy implements JobKind {
  private static final String ID = "tidy";
  private static final Duration JUST_WRITTEN = Duration.ofHours(1);
  private static final Duration INCOMING = Duration.ofDays(1);
  private static final Duration RESULTS = Duration.ofDays(14);
  private static final Duration SMALL_PICTURES = Duration.ofDays(30);
  private static final Duration UNDO = Duration.ofDays(90);
  private static final double FREE_SHARE = 0.25;

  private final Path folder;
  private final JdbcClient db;
  private final Blobs blobs;
  private final Named named;
  private final Clock clock;
  private final ObjectProvider<Jobs> jobs;

  Tidy(
      Environment environment,
      JdbcClient db,
      Blobs blobs,
      Named named,
      Clock clock,
      ObjectProvider<Jobs> jobs) {
    this.folder = DataFolder.path(environment);
    this.db = db;
    this.blobs = blobs;
    this.named = named;
    this.clock = clock;
    this.jobs = jobs;
  }

  /** What could go; nothing is changed. */
  List<Needless> look() {
    List<Needless> out = new ArrayList<>();
    out.add(files("Kept files that nothing names", unnamed()));
    out.add(files("Half-written files", parts()));
    out.add(
        files(
            "Small pictures that nobody looked at for a month",
            walk("thumbnails", SMALL_PICTURES)));
    out.add(files("Files that were taken in and not used", walk("incoming", INCOMING)));
    out.add(files("Results of old jobs", oldResults()));
    return out;
  }

  private static Needless files(String what, List<Path> files) {
    long bytes = 0;
    for (Path file : files) {
      try {
        bytes += Files.size(file);
      } catch (IOException e) {
        // gone meanwhile
      }
    }
    return new Needless(what, files, bytes);
  }

  private List<Path> unnamed() {
    Instant before = clock.instant().minus(JUST_WRITTEN);
    Map<String, Instant> all = blobs.all(); // before the names: what is named later is newer
    Set<String> names = named.all();
    return all.entrySet().stream()
        .filter(e -> !names.contains(e.getKey()) && e.getValue().isBefore(before))
        .map(e -> folder.resolve("files").resolve(e.getKey().substring(0, 2)).resolve(e.getKey()))
        .toList();
  }

  private List<Path> parts() {
    List<Path> out = new ArrayList<>();
    for (String room : List.of("files", "thumbnails", "copies")) {
      out.addAll(
          walk(room, JUST_WRITTEN).stream().filter(f -> f.toString().endsWith(".part")).toList());
    }
    return out;
  }

  private List<Path> oldResults() {
    List<Path> out = new ArrayList<>();
    Path root = folder.resolve("jobs");
    Set<String> kept =
        Set.copyOf(
            db.sql("select id from job where ended_at is null or ended_at > ?")
                .param(clock.instant().minus(RESULTS).toString())
                .query(String.class)
                .list());
    for (Path file : walk("jobs", JUST_WRITTEN)) {
      if (!kept.contains(root.relativize(file).getName(0).toString())) {
        out.add(file);
      }
    }
    return out;
  }

  /** Files below a folder that were not written to for that long. */
  private List<Path> walk(String room, Duration age) {
    Path root = folder.resolve(room);
    if (!Files.isDirectory(root)) {
      return List.of();
    }
    Instant before = clock.instant().minus(age);
    try (Stream<Path> all = Files.walk(root)) {
      List<Path> out = new ArrayList<>();
      for (Path file : all.filter(Files::isRegularFile).toList()) {
        if (Files.getLastModifiedTime(file).toInstant().isBefore(before)) {
          out.add(file);
        }
      }
      return out;
    } catch (IOException e) {
      throw new UncheckedIOException("the data folder cannot be listed", e);
    }
  }

  /** Starts tidying as a job. */
  org.nineveils.app.jobs.Job start() {
    return jobs.getObject().start(ID, "folder", "Tidying the data folder", "{}");
  }

  @Override
  public String id() {
    return ID;
  }

  @Override
  public boolean isQuick() {
    return true;
  }

  @Override
  public boolean goesOn() {
    return false;
  }

  @Override
  public void run(JobRun run) throws IOException {
    run.said(tidy());
  }

  /** Lets all of it go. @return what went, in a sentence */
  public String tidy() {
    int files = 0;
    long bytes = 0;
    forgetOldSteps();
    for (Needless needless : look()) {
      for (Path file : needless.files()) {
        try {
          if (Files.deleteIfExists(file)) {
            files++;
          }
        } catch (IOException e) {
          throw new UncheckedIOException("a file could not be removed", e);
        }
      }
      bytes += needless.bytes();
    }
    db.sql("delete from job where ended_at < ?")
        .param(clock.instant().minus(RESULTS).toString())
        .update();
    bytes += vacuum();
    return files == 0 && bytes == 0
        ? "There was nothing to tidy."
        : "%d %s went, %.1f MB are free again."
            .formatted(files, files == 1 ? "file" : "files", bytes / 1048576.0);
  }

  /** A scope that nobody touched for long starts where it is now; what was set aside stays. */
  private void forgetOldSteps() {
    String before = clock.instant().minus(UNDO).toString();
    db.sql(
            """
            delete from edit where state <> 'aside' and made_at < ? and not exists (
              select 1 from edit_scope own join edit_scope other on other.scope = own.scope
              join edit newer on newer.id = other.edit_id
              where own.edit_id = edit.id and newer.made_at >= ?)""")
        .params(before, before)
        .update();
  }

  /** Gives free pages back where there are many. @return bytes that are free now */
  private long vacuum() {
    long pages = pragma("page_count");
    long free = pragma("freelist_count");
    long size = pragma("page_size");
    Path database = folder.resolve(DataCheck.DATABASE);
    if (free * size < (4L << 20) || free < pages * FREE_SHARE) {
      return 0;
    }
    Room.check(folder, (pages - free) * size);
    try {
      long before = Files.size(database);
      db.sql("vacuum").update();
      db.sql("pragma wal_checkpoint(truncate)").query().listOfRows();
      return Math.max(0, before - Files.size(database));
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  private long pragma(String name) {
    return db.sql("select * from pragma_" + name).query(Long.class).single();
  }
}
