package org.nineveils.app.jobs;

import jakarta.annotation.PreDestroy;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.nineveils.app.fault.Faults;
import org.nineveils.app.fault.NotFound;
import org.nineveils.app.memory.Budget;
import org.nineveils.app.memory.Permits;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Runs jobs: what somebody waits for in one queue, long runs in another, each one after the other.
 * How far a job is stands in memory while it runs and in the database from time to time, so that a
 * restart finds what was under way: it goes on, or says that it was cut off.
 */
@Service
public class Jobs {
  private static final Logger LOG = LoggerFactory.getLogger(Jobs.class);
  private static final int SIDE_BY_SIDE = 2;
  private static final String CUT_OFF =
      "The application was ended before this was done. Start it again.";
  private static final int LISTED = 60;

  private final JobStore store;
  private final JobLedger ledger;
  private final JobFolders folders;
  private final Permits permits;
  private final Budget budget;
  private final Clock clock;
  private final Map<String, JobKind> kinds;
  private final Map<Long, JobRun> running = new ConcurrentHashMap<>();
  private final ExecutorService quick = Executors.newSingleThreadExecutor(named("quick jobs"));
  private final ExecutorService patient = Executors.newSingleThreadExecutor(named("jobs"));
  private final ExecutorService hands = Executors.newFixedThreadPool(SIDE_BY_SIDE, named("hands"));

  private volatile boolean closing;

  Jobs(
      JobStore store,
      JobFolders folders,
      Permits permits,
      Budget budget,
      Clock clock,
      List<JobKind> kinds) {
    this.store = store;
    this.ledger = new JobLedger(store, this::now);
    this.folders = folders;
    this.permits = permits;
    this.budget = budget;
    this.clock = clock;
    this.kinds =
        kinds.stream().collect(Collectors.toMap(kind -> kind.nature().id(), Function.identity()));
  }

  private static java.util.concurrent.ThreadFactory named(String name) {
    return work -> {
      Thread thread = new Thread(work, name);
      thread.setDaemon(true);
      return thread;
    };
  }

  /** What was under way when the application ended goes on, or says that it was cut off. */
  @EventListener(ApplicationReadyEvent.class)
  void takeUp() {
    for (Job job : store.open()) {
      JobKind kind = kinds.get(job.kind());
      if (store.isStopped(job.id())) {
        store.save(ended(job, Job.State.STOPPED, "Stopped."), now());
      } else if (kind != null && kind.nature().goesOn()) {
        queue(kind, job);
      } else {
        store.save(ended(job, Job.State.CUT_OFF, CUT_OFF), now());
      }
    }
  }

  private static Job ended(Job j, Job.State state, String said) {
    return new Job(
        j.id(),
        j.kind(),
        j.subject(),
        j.title(),
        j.request(),
        state,
        j.done(),
        j.total(),
        j.faults(),
        said,
        "",
        "",
        j.madeAt(),
        0);
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

  /** Puts files of the request into the job's folder before it begins. */
  @FunctionalInterface
  public interface Filling {
    void into(Path folder) throws IOException;
  }

  /** Starts a job that finds files in its folder. */
  public Job start(String kind, String subject, String title, String request, Filling filling) {
    long id = store.add(kind, subject, title, request, now());
    try {
      filling.into(folders.made(id));
    } catch (IOException | RuntimeException e) {
      store.remove(id);
      folders.remove(id);
      throw e instanceof RuntimeException r ? r : new UncheckedIOException((IOException) e);
    }
    Job job = store.find(id).orElseThrow();
    queue(kinds.get(kind), job);
    return job;
  }

  private void queue(JobKind kind, Job job) {
    JobRun run =
        new JobRun(
            job, folders.of(job.id()), permits, budget, hands, SIDE_BY_SIDE, ledger.throttled());
    running.put(job.id(), run);
    (kind.nature().isQuick() ? quick : patient).execute(() -> run(kind, run));
  }

  private void run(JobKind kind, JobRun run) {
    if (closing) {
      return; // it is taken up at the next start
    }
    try {
      if (run.isStopped()) {
        end(run, Job.State.STOPPED, "Stopped before it began.");
        return;
      }
      ledger.progress(run.begun());
      folders.made(run.id());
      kind.run(run);
      Job job = run.job();
      boolean nothing = job.total() > 0 && job.faults().size() >= job.total();
      end(
          run,
          run.isStopped() ? Job.State.STOPPED : nothing ? Job.State.FAILED : Job.State.DONE,
          nothing && job.total() == 1 ? job.faults().get(0) : job.said());
    } catch (JobRun.CutOff e) {
      LOG.info("cut off by the end of the application: {}", run.job().title());
    } catch (Exception | Error e) {
      LOG.warn("a job failed: {}", run.job().title(), e);
      String said = Faults.sentence(e);
      if (e instanceof OutOfMemoryError) {
        budget.giveWay();
        said = "There was not enough memory; nothing else was touched.";
      }
      end(run, Job.State.FAILED, said.isEmpty() ? sentence(e) : said);
    }
  }

  private static String sentence(Throwable e) {
    boolean ours = e.getMessage() != null && e.getMessage().endsWith(".");
    return ours && !(e instanceof Error)
        ? e.getMessage()
        : "Something went wrong in the application.";
  }

  private void end(JobRun run, Job.State state, String said) {
    ledger.ended(run.ended(state, said));
    running.remove(run.id());
  }

  /**
   * Stops a job after the items that are being done; what is done stays. It is stopped after a
   * restart too.
   */
  public void stop(long id) {
    Optional.ofNullable(running.get(id))
        .ifPresent(
            run -> {
              run.stop();
              ledger.stopped(run.job());
            });
  }

  public Optional<Job> find(long id) {
    JobRun run = running.get(id);
    return run != null ? Optional.of(run.job()) : ledger.find(id);
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
    return running.values().stream()
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

  private String now() {
    return clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
  }

  @PreDestroy
  void close() {
    closing = true;
    running.values().forEach(JobRun::cutOff);
    quick.shutdown();
    patient.shutdown();
    hands.shutdown();
  }
}
