package org.nineveils.app.base.jobs;

import jakarta.annotation.PreDestroy;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.ThreadFactory;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.nineveils.app.base.fault.Faults;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Permits;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;

/**
 * Does jobs, each by its kind: what somebody waits for in one queue, long runs in another, one
 * after the other. A restart finds what was under way: it goes on, or says that it was cut off.
 */
@Service
class JobRunner {
  private static final Logger LOG = LoggerFactory.getLogger(JobRunner.class);
  private static final int SIDE_BY_SIDE = 2;
  private static final String CUT_OFF =
      "The application was ended before this was done. Start it again.";

  private final JobStore store;
  private final JobLedger ledger;
  private final JobFolders folders;
  private final Permits permits;
  private final Budget budget;
  private final UnderWay underWay;
  private final Map<String, JobKind> kinds;
  private final ExecutorService quick = Executors.newSingleThreadExecutor(named("quick jobs"));
  private final ExecutorService patient = Executors.newSingleThreadExecutor(named("jobs"));
  private final ExecutorService hands = Executors.newFixedThreadPool(SIDE_BY_SIDE, named("hands"));

  private volatile boolean closing;

  JobRunner(
      JobStore store,
      JobLedger ledger,
      JobFolders folders,
      Permits permits,
      Budget budget,
      UnderWay underWay,
      List<JobKind> kinds) {
    this.store = store;
    this.ledger = ledger;
    this.folders = folders;
    this.permits = permits;
    this.budget = budget;
    this.underWay = underWay;
    this.kinds =
        kinds.stream().collect(Collectors.toMap(kind -> kind.nature().id(), Function.identity()));
    underWay.beginBy(this::queue);
  }

  private static ThreadFactory named(String name) {
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
        store.save(ended(job, Job.State.STOPPED, "Stopped."), ledger.now());
      } else if (kind != null && kind.nature().restart() == JobKind.Restart.GOES_ON) {
        queue(job);
      } else {
        store.save(ended(job, Job.State.CUT_OFF, CUT_OFF), ledger.now());
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

  private void queue(Job job) {
    JobKind kind = kinds.get(job.kind());
    JobRun run =
        new JobRun(
            job, folders.of(job.id()), permits, budget, hands, SIDE_BY_SIDE, ledger.throttled());
    underWay.add(run);
    (kind.nature().turn() == JobKind.Turn.QUICK ? quick : patient).execute(() -> run(kind, run));
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
    underWay.remove(run.id());
  }

  @PreDestroy
  void close() {
    closing = true;
    underWay.all().forEach(JobRun::cutOff);
    quick.shutdown();
    patient.shutdown();
    hands.shutdown();
  }
}
