package org.nineveils.app.base.jobs;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;

/**
 * Writes how far jobs are and how they ended, as far as that can be written: on a full disk the
 * work goes on, and an end is written as soon as it can be.
 */
@Component
class JobLedger {
  private static final Logger LOG = LoggerFactory.getLogger(JobLedger.class);
  private static final long WRITE_EVERY = 1_000_000_000L;

  private final JobStore store;
  private final Clock clock;
  private final Map<Long, Job> unwritten = new ConcurrentHashMap<>();

  JobLedger(JobStore store, Clock clock) {
    this.store = store;
    this.clock = clock;
  }

  /** The time, ISO 8601 in UTC, in whole seconds. */
  String now() {
    return clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
  }

  /** Writes how far one job is, from time to time. */
  Consumer<Job> throttled() {
    long[] last = {System.nanoTime()};
    return job -> {
      synchronized (last) {
        if (System.nanoTime() - last[0] > WRITE_EVERY) {
          last[0] = System.nanoTime();
          progress(job);
        }
      }
    };
  }

  /** Writes how far a job is. */
  void progress(Job job) {
    tried(job, () -> store.save(job, null));
  }

  /** Writes that a job was stopped, so that it is not taken up after a restart. */
  void stopped(Job job) {
    tried(job, () -> store.stop(job.id()));
  }

  /** Writes how a job ended, now or later. */
  void ended(Job job) {
    unwritten.put(job.id(), job);
    writeEnds();
  }

  /** The job as it ended, or as it is written. */
  Optional<Job> find(long id) {
    writeEnds();
    return Optional.ofNullable(unwritten.get(id)).or(() -> store.find(id));
  }

  private void writeEnds() {
    for (Job job : List.copyOf(unwritten.values())) {
      if (tried(job, () -> store.save(job, now()))) {
        unwritten.remove(job.id(), job);
      }
    }
  }

  private static boolean tried(Job job, Runnable write) {
    try {
      write.run();
      return true;
    } catch (RuntimeException e) {
      LOG.warn("of the job “{}” something could not be written yet: {}", job.title(), e.toString());
      return false;
    }
  }
}
