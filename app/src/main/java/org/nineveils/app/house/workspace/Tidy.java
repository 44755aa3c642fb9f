package org.nineveils.app.house.workspace;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.util.List;
import java.util.Locale;
import org.nineveils.app.base.data.DataFolder;
import org.nineveils.app.base.data.Room;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.base.start.DataCheck;
import org.nineveils.refusal.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.env.Environment;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/**
 * Lets go of what nobody needs any more: needless files, steps of undo that were not touched for
 * three months; and gives the database's free pages back.
 */
@Service
public class Tidy implements JobKind {
  private static final Logger LOG = LoggerFactory.getLogger(Tidy.class);
  private static final String ID = "tidy";
  private static final Duration UNDO = Duration.ofDays(90);
  private static final double FREE_SHARE = 0.25;

  private final Path folder;
  private final JdbcClient db;
  private final NeedlessFiles needless;
  private final Keeping keeping;
  private final Clock clock;
  private final Jobs jobs;

  Tidy(
      Environment environment,
      JdbcClient db,
      NeedlessFiles needless,
      Keeping keeping,
      Clock clock,
      Jobs jobs) {
    this.folder = DataFolder.path(environment);
    this.db = db;
    this.needless = needless;
    this.keeping = keeping;
    this.clock = clock;
    this.jobs = jobs;
  }

  /** What could go; nothing is changed. */
  List<Needless> look() {
    return needless.look();
  }

  /** Starts tidying as a job. */
  org.nineveils.app.base.jobs.Job start() {
    return jobs.start(ID, "folder", "Tidying the data folder", "{}");
  }

  @Override
  public Nature nature() {
    return new Nature(ID, Turn.QUICK, Restart.CUT_OFF);
  }

  @Override
  public void run(JobRun run) throws IOException {
    run.said(tidy());
  }

  /**
   * Lets all of it go.
   *
   * @return what went, in a sentence
   * @throws Refusal with a sentence while a backup is being made, which reads those files
   */
  public String tidy() {
    if (!keeping.tidyingBegins()) {
      throw new Refusal("A backup is being made, or it is being tidied already; try again then.");
    }
    try {
      return tidied();
    } finally {
      keeping.tidyingEnded();
    }
  }

  private String tidied() {
    int files = 0;
    long bytes = 0;
    forgetOldSteps();
    for (Needless all : needless.look()) {
      for (Needless.Found file : all.files()) {
        try {
          if (file.letGo()) {
            files++;
            bytes += file.bytes();
          }
        } catch (IOException e) {
          LOG.warn("a file could not be removed: {}", file.path(), e); // the others go all the same
        }
      }
    }
    db.sql("delete from job where ended_at < ?")
        .param(clock.instant().minus(NeedlessFiles.RESULTS).toString())
        .update();
    bytes += vacuum();
    return files == 0 && bytes == 0
        ? "There was nothing to tidy."
        : String.format(
            Locale.ROOT,
            "%d %s went, %.1f MB are free again.",
            files,
            files == 1 ? "file" : "files",
            bytes / 1048576.0);
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
