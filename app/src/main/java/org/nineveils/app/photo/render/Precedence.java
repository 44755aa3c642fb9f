package org.nineveils.app.photo.render;

import java.util.concurrent.Semaphore;
import java.util.concurrent.TimeUnit;
import java.util.function.Supplier;
import org.springframework.stereotype.Component;

/**
 * Lets stages go before small pictures: whoever looks at a stage waits for nobody who fills a list.
 * A small picture is begun when no stage renders or has just done so, though it never waits long.
 */
@Component
class Precedence {
  private static final long REST_NANOS = TimeUnit.MILLISECONDS.toNanos(120);
  private static final long LONGEST_NANOS = TimeUnit.SECONDS.toNanos(2);
  private static final long NANOS_A_MILLI = TimeUnit.MILLISECONDS.toNanos(1);

  private final Semaphore lists = new Semaphore(Runtime.getRuntime().availableProcessors(), true);
  private int stages;
  private long last = System.nanoTime() - REST_NANOS;

  /** Renders for a stage. */
  <T> T stage(Supplier<T> work) {
    change(1);
    try {
      return work.get();
    } finally {
      change(-1);
    }
  }

  private synchronized void change(int by) {
    stages += by;
    last = System.nanoTime();
    notifyAll();
  }

  /** Renders for a list; a few at a time. */
  <T> T list(Supplier<T> work) {
    lists.acquireUninterruptibly();
    try {
      awaitRest();
      return work.get();
    } finally {
      lists.release();
    }
  }

  private synchronized void awaitRest() {
    long begun = System.nanoTime();
    while (System.nanoTime() - begun < LONGEST_NANOS) {
      long rested = stages > 0 ? 0 : System.nanoTime() - last;
      if (rested >= REST_NANOS) {
        return;
      }
      try {
        wait(Math.max(1, (REST_NANOS - rested) / NANOS_A_MILLI));
      } catch (InterruptedException e) {
        Thread.currentThread().interrupt();
        return;
      }
    }
  }
}
