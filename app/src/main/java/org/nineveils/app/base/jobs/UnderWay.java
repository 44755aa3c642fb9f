package org.nineveils.app.base.jobs;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Consumer;
import org.springframework.stereotype.Component;

/** Jobs that wait or run: between those who start and stop them and the one who does them. */
@Component
class UnderWay {
  private final Map<Long, JobRun> runs = new ConcurrentHashMap<>();
  private volatile Consumer<Job> runner =
      job -> {
        throw new IllegalStateException("nobody does jobs yet");
      };

  /** Says who takes up what is begun. */
  void beginBy(Consumer<Job> who) {
    runner = who;
  }

  void begin(Job job) {
    runner.accept(job);
  }

  void add(JobRun run) {
    runs.put(run.id(), run);
  }

  void remove(long id) {
    runs.remove(id);
  }

  Optional<JobRun> find(long id) {
    return Optional.ofNullable(runs.get(id));
  }

  Collection<JobRun> all() {
    return List.copyOf(runs.values());
  }
}
