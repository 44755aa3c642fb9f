package org.nineveils.app.house.workspace;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.nineveils.app.base.data.DataFolder;
import org.nineveils.app.base.data.Room;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.base.start.DataCheck;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Keeps a copy of the database for each day that it is worked on, and the last seven of them. */
@Service
class Copies implements JobKind {
  private static final Logger LOG = LoggerFactory.getLogger(Copies.class);
  private static final String ID = "copy";
  private static final int KEPT = 7;
  private static final long LOOK_EVERY_HOURS = 1;

  private final Path folder;
  private final Path database;
  private final JdbcClient db;
  private final Clock clock;
  private final Jobs jobs;
  private final boolean daily;
  private final ScheduledExecutorService timer =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "daily copy");
            thread.setDaemon(true);
            return thread;
          });

  Copies(
      Environment environment,
      JdbcClient db,
      Clock clock,
      Jobs jobs,
      @Value("${nineveils.daily-copies:true}") boolean daily) {
    this.folder = DataFolder.path(environment).resolve(DataCheck.COPIES);
    this.database = DataFolder.path(environment).resolve(DataCheck.DATABASE);
    this.db = db;
    this.clock = clock;
    this.jobs = jobs;
    this.daily = daily;
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    if (daily) {
      var unused =
          timer.scheduleWithFixedDelay(
              this::copyOfToday, 1, LOOK_EVERY_HOURS * 3600, TimeUnit.SECONDS);
    }
  }

  private void copyOfToday() {
    try {
      if (!Files.exists(today())) {
        jobs.start(ID, "database", "Copy of the database for today", "{}");
      }
    } catch (RuntimeException e) {
      LOG.warn("the copy for today was not begun; it is tried again", e); // or it never would be
    }
  }

  private Path today() {
    return folder.resolve(
        "nine-veils-%s.db".formatted(LocalDate.now(clock.withZone(ZoneOffset.UTC))));
  }

  @Override
  public Nature nature() {
    return new Nature(ID, Turn.QUICK, Restart.GOES_ON);
  }

  @Override
  public void run(JobRun run) throws IOException {
    run.total(1, 0);
    boolean made = run.item("The copy for today", 0, this::copy);
    run.said(made ? String.format(Locale.ROOT, "Copied; the last %d days are kept.", KEPT) : "");
  }

  private void copy() throws IOException {
    Files.createDirectories(folder);
    Room.check(folder, Files.size(database));
    Path part = folder.resolve("copy.part");
    Files.deleteIfExists(part);
    try {
      db.sql("vacuum into ?").param(part.toString()).update();
      Files.move(part, today(), StandardCopyOption.ATOMIC_MOVE);
    } finally {
      Files.deleteIfExists(part);
    }
    try (Stream<Path> all = Files.list(folder)) {
      List<Path> copies =
          all.filter(f -> f.toString().endsWith(".db"))
              .sorted(Comparator.comparing(Path::getFileName).reversed())
              .toList();
      for (Path old : copies.subList(Math.min(KEPT, copies.size()), copies.size())) {
        Files.deleteIfExists(old);
      }
    }
  }

  @PreDestroy
  void close() {
    timer.shutdownNow();
  }
}
