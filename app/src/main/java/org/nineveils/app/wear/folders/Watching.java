package org.nineveils.app.wear.folders;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import org.nineveils.refusal.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Component;

/**
 * Looks into watched folders again and again. A file counts once it was the same in two looks, so
 * that one that is still being copied is let be.
 */
@Component
class Watching implements DisposableBean {
  private static final Logger LOG = LoggerFactory.getLogger(Watching.class);
  private static final long EVERY_MS = 700;

  private final WatchedFolders watched;
  private final WatchJob job;
  private final ScheduledExecutorService clock =
      Executors.newSingleThreadScheduledExecutor(
          work -> {
            Thread thread = new Thread(work, "watched folders");
            thread.setDaemon(true);
            return thread;
          });

  /** What waited in the look before, by folder. */
  private final Map<Long, Set<WatchedFolders.Waiting>> before = new HashMap<>();

  /** What lay there when all of it was made; while that is so, nothing else is asked. */
  private final Map<Long, List<WatchedFolders.Waiting>> done = new HashMap<>();

  private int turns;
  private String told = "";

  Watching(WatchedFolders watched, WatchJob job) {
    this.watched = watched;
    this.job = job;
  }

  @EventListener(ApplicationReadyEvent.class)
  void begin() {
    var unused =
        clock.scheduleWithFixedDelay(this::look, EVERY_MS, EVERY_MS, TimeUnit.MILLISECONDS);
  }

  private void look() {
    try {
      if (turns != watched.turns()) {
        turns = watched.turns();
        done.clear();
      }
      watched.active().forEach(this::lookApart);
    } catch (RuntimeException | Error e) { // or no look would ever follow
      told = told(told, "watched folders could not be looked into", e);
    }
  }

  /** One that cannot be looked into, as where it may not be read, does not keep others from it. */
  private void lookApart(WatchRows.Watched folder) {
    try {
      look(folder);
      watched.trouble(folder.id(), "");
    } catch (Refusal e) {
      watched.trouble(folder.id(), e.getMessage()); // the next look tries again
    } catch (RuntimeException | Error e) {
      String said = "“%s” could not be looked into; it is tried again.".formatted(folder.folder());
      if (watched.trouble(folder.id(), said)) {
        LOG.warn("a watched folder could not be looked into: {}", folder.folder(), e);
      }
    }
  }

  /** Says a fault once, not every time that it is met. */
  private static String told(String before, String what, Throwable fault) {
    String now = String.valueOf(fault);
    if (!now.equals(before)) {
      LOG.warn(what, fault);
    }
    return now;
  }

  private void look(WatchRows.Watched folder) {
    List<WatchedFolders.Waiting> there = watched.there(folder);
    if (there.equals(done.get(folder.id()))) {
      return;
    }
    List<WatchedFolders.Waiting> now = watched.waiting(folder, there);
    Set<WatchedFolders.Waiting> old = before.getOrDefault(folder.id(), Set.of());
    before.put(folder.id(), Set.copyOf(now));
    List<WatchedFolders.Waiting> settled = now.stream().filter(old::contains).toList();
    if (now.isEmpty()) {
      done.put(folder.id(), there);
    } else if (!settled.isEmpty() && !job.isBusy(folder.id())) {
      job.start(folder, settled);
    }
  }

  @Override
  public void destroy() {
    clock.shutdownNow();
  }
}
