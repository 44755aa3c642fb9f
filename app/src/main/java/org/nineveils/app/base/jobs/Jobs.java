package org.nineveils.app.base.jobs;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import org.nineveils.app.base.fault.NotFound;
import org.springframework.stereotype.Service;

/**
 * Jobs as everybody sees them: started, found, stopped. How far one is stands in memory while it
 * runs and in the database from time to time. Who does them is {@link JobRunner}.
 */
@Service
public class Jobs {
  private static final int LISTED = 60;

  private final JobStore store;
  private final JobLedger ledger;
  private final JobFolders folders;
  private final UnderWay underWay;

  Jobs(JobStore store, JobLedger ledger, JobFolders folders, UnderWay underWay) {
    this.store = store;
    this.ledger = ledger;
    this.folders = folders;
    this.underWay = underWay;
  }

  /**
   * Starts a job.
   *
   * @param kind id of its kind
   * @param subject what it is about
   * @param title for the user
   * @param request JSON that its kind understands
   */
  public Job start(String kind, String subject, String title, String request) {
    return start(kind, subject, title, request, folder -> {});
  }

  /**
   * The same of a kind that is asked in named fields.
   *
   * @param asked read back by {@link JobRun#asked}
   */
  public Job start(String kind, String subject, String title, Record asked) {
    return start(kind, subject, title, Asked.write(asked));
  }

  /** Puts files of the request into the job's folder before it begins. */
  @FunctionalInterface
  public interface Filling {
    void into(Path folder) throws IOException;
  }

  /** Starts a job that finds files in its folder. */
  public Job start(String kind, String subject, String title, String request, Filling filling) {
    long id = store.add(kind, subject, title, request, ledger.now());
    try {
      filling.into(folders.made(id));
    } catch (IOException | RuntimeException e) {
      store.remove(id);
      folders.remove(id);
      throw e instanceof RuntimeException r ? r : new UncheckedIOException((IOException) e);
    }
    Job job = store.find(id).orElseThrow();
    underWay.begin(job);
    return job;
  }

  /**
   * Stops a job after the items that are being done; what is done stays. It is stopped after a
   * restart too.
   */
  public void stop(long id) {
    underWay
        .find(id)
        .ifPresent(
            run -> {
              run.stop();
              ledger.stopped(run.job());
            });
  }

  public Optional<Job> find(long id) {
    return underWay.find(id).map(JobRun::job).or(() -> ledger.find(id));
  }

  /** The job of that id. */
  public Job get(long id) {
    return find(id).orElseThrow(() -> new NotFound("This job is no longer here."));
  }

  /** The last job of a subject. */
  public Optional<Job> last(String kind, String subject) {
    return store.last(kind, subject).flatMap(job -> find(job.id()));
  }

  /** Jobs that wait or run, the oldest first. */
  public List<Job> open() {
    return underWay.all().stream()
        .map(JobRun::job)
        .sorted(java.util.Comparator.comparingLong(Job::id))
        .toList();
  }

  /** The newest jobs, the newest first. */
  public List<Job> newest() {
    return store.newest(LISTED).stream().map(j -> find(j.id()).orElse(j)).toList();
  }

  /** The result of a job as a file. */
  public Path result(Job job) {
    Path file = folders.of(job.id()).resolve(job.file());
    if (!job.hasResult() || !Files.isRegularFile(file)) {
      throw new NotFound("This result is no longer kept; make it again.");
    }
    return file;
  }
}
