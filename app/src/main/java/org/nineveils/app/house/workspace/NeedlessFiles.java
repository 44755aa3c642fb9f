package org.nineveils.app.house.workspace;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.data.DataFolder;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Finds files that nobody needs any more: kept ones that nothing names, small pictures that nobody
 * looked at for a month, half-written ones, results of old jobs.
 */
@Component
class NeedlessFiles {
  /** How long results of jobs are kept. */
  static final Duration RESULTS = Duration.ofDays(14);

  private static final Duration JUST_WRITTEN = Duration.ofHours(1);
  private static final Duration INCOMING = Duration.ofDays(1);
  private static final Duration SMALL_PICTURES = Duration.ofDays(30);

  private final Path folder;
  private final JdbcClient db;
  private final Blobs blobs;
  private final Named named;
  private final Clock clock;

  NeedlessFiles(Environment environment, JdbcClient db, Blobs blobs, Named named, Clock clock) {
    this.folder = DataFolder.path(environment);
    this.db = db;
    this.blobs = blobs;
    this.named = named;
    this.clock = clock;
  }

  /** What could go; nothing is changed. */
  List<Needless> look() {
    return List.of(
        new Needless("Kept files that nothing names", unnamed()),
        new Needless("Half-written files", parts()),
        new Needless(
            "Small pictures that nobody looked at for a month",
            walk("thumbnails", SMALL_PICTURES, file -> true)),
        new Needless(
            "Files that were taken in and not used", walk("incoming", INCOMING, file -> true)),
        new Needless("Results of old jobs", oldResults()));
  }

  private List<Needless.Found> unnamed() {
    Map<String, Instant> all = blobs.all(); // before the names: what is named later is newer
    Set<String> names = named.all();
    return walk(
        "files",
        JUST_WRITTEN,
        file -> {
          String name = file.getFileName().toString();
          return all.containsKey(name) && !names.contains(name);
        });
  }

  private List<Needless.Found> parts() {
    List<Needless.Found> out = new ArrayList<>();
    for (String room : List.of("files", "thumbnails", "copies", "jobs")) {
      out.addAll(walk(room, JUST_WRITTEN, file -> file.toString().endsWith(".part")));
    }
    out.addAll(beside());
    return out;
  }

  /** What a killed restore or backup leaves in the data folder itself. */
  private List<Needless.Found> beside() {
    Instant before = clock.instant().minus(JUST_WRITTEN);
    List<Needless.Found> out = new ArrayList<>();
    try (Stream<Path> all = Files.list(folder)) {
      for (Path file : all.filter(Files::isRegularFile).toList()) {
        String name = file.getFileName().toString();
        if (name.endsWith(".part") || name.matches("restoring(\\.clean)?(-wal|-shm|-journal)?")) {
          found(file).filter(f -> f.written().isBefore(before)).ifPresent(out::add);
        }
      }
      return out;
    } catch (IOException e) {
      throw new UncheckedIOException("the data folder cannot be listed", e);
    }
  }

  private List<Needless.Found> oldResults() {
    Path root = folder.resolve("jobs");
    Set<String> kept =
        Set.copyOf(
            db.sql("select id from job where ended_at is null or ended_at > ?")
                .param(clock.instant().minus(RESULTS).toString())
                .query(String.class)
                .list());
    return walk(
        "jobs", JUST_WRITTEN, file -> !kept.contains(root.relativize(file).getName(0).toString()));
  }

  /** Files below a folder that were not written to for that long. */
  private List<Needless.Found> walk(String room, Duration age, Predicate<Path> wanted) {
    Path root = folder.resolve(room);
    if (!Files.isDirectory(root)) {
      return List.of();
    }
    Instant before = clock.instant().minus(age);
    List<Needless.Found> out = new ArrayList<>();
    try (Stream<Path> all = Files.walk(root)) {
      for (Path file : all.filter(Files::isRegularFile).filter(wanted).toList()) {
        found(file).filter(f -> f.written().isBefore(before)).ifPresent(out::add);
      }
      return out;
    } catch (IOException | UncheckedIOException e) {
      if (isGone(e)) {
        return walk(room, age, wanted); // a folder went while it was listed
      }
      throw new UncheckedIOException("the data folder cannot be listed", cause(e));
    }
  }

  private static boolean isGone(Exception e) {
    return e instanceof NoSuchFileException || e.getCause() instanceof NoSuchFileException;
  }

  private static IOException cause(Exception e) {
    return e instanceof IOException io ? io : ((UncheckedIOException) e).getCause();
  }

  private static Optional<Needless.Found> found(Path file) throws IOException {
    try {
      return Optional.of(Needless.Found.of(file));
    } catch (NoSuchFileException e) {
      return Optional.empty(); // gone meanwhile
    }
  }
}
