package org.nineveils.app.base.start;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Clock;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.core.env.Environment;
import org.springframework.stereotype.Component;

/**
 * Touches a file in the data folder again and again, so that the launcher sees whether the
 * application still runs: where the memory is so full that no thread goes on, nothing within it
 * could tell. Where the launcher is gone, the application ends.
 */
@Component
class Heartbeat implements DisposableBean {
  /** Name of the file. */
  static final String FILE = "heartbeat";

  private static final long EVERY_SECONDS = 4;

  private final Path file;
  private final boolean watched;
  private final Clock clock;
  private final ScheduledExecutorService beats =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, FILE);
            thread.setDaemon(true);
            return thread;
          });

  Heartbeat(
      Environment environment, @Value("${nineveils.watched:false}") boolean watched, Clock clock) {
    this.file =
        Path.of(environment.getRequiredProperty("nineveils.data")).toAbsolutePath().resolve(FILE);
    this.watched = watched;
    this.clock = clock;
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    if (watched) {
      long launcher = ProcessHandle.current().parent().map(ProcessHandle::pid).orElse(0L);
      var unused =
          beats.scheduleWithFixedDelay(() -> beat(launcher), 0, EVERY_SECONDS, TimeUnit.SECONDS);
    }
  }

  private void beat(long launcher) {
    try {
      if (!Files.exists(file)) {
        Files.createFile(file);
      }
      Files.setLastModifiedTime(file, FileTime.from(clock.instant()));
      if (ProcessHandle.current().parent().map(ProcessHandle::pid).orElse(0L) != launcher) {
        new Thread(() -> System.exit(0), "end").start(); // nobody watches any more, or could end it
      }
    } catch (IOException | RuntimeException | Error e) {
      // the next beat tries again; the launcher waits for many
    }
  }

  @Override
  public void destroy() throws IOException {
    beats.shutdownNow();
    if (watched) {
      Files.deleteIfExists(file);
    }
  }
}
