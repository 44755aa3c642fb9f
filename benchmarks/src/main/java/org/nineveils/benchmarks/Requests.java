package org.nineveils.benchmarks;

import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.concurrent.atomic.AtomicLong;
import org.nineveils.picture.Picture;
import org.nineveils.stack.Cancelled;
import org.nineveils.stack.CoverageCache;
import org.nineveils.stack.LiveView;
import org.nineveils.stack.Manner;

/** Twenty requests a second for half a minute, each making the one before it unwanted. */
final class Requests {
  private static final int A_SECOND = 20;
  private static final int SECONDS = 30;

  private Requests() {}

  static void run(Picture photo, Table table) throws InterruptedException {
    LiveView view = new LiveView();
    Manner shared = Manner.exact().masksFrom(new CoverageCache(24_000_000)).quick(true);
    AtomicLong newest = new AtomicLong();
    AtomicInteger finished = new AtomicInteger();
    AtomicInteger waiting = new AtomicInteger();
    ExecutorService server = Executors.newCachedThreadPool();
    int mostWaiting = 0;
    long heapEarly = 0;
    for (int i = 0; i < A_SECOND * SECONDS; i++) {
      if (i == A_SECOND * 5) {
        heapEarly = heap();
      }
      long mine = newest.incrementAndGet();
      double stops = i % 50 / 50.0;
      waiting.incrementAndGet();
      server.execute(
          () -> {
            try {
              Manner manner = shared.cancelledBy(() -> newest.get() != mine);
              view.render(photo, Recipes.twelve(stops), manner);
              finished.incrementAndGet();
            } catch (Cancelled e) {
              // A newer one is wanted.
            } finally {
              waiting.decrementAndGet();
            }
          });
      mostWaiting = Math.max(mostWaiting, waiting.get());
      TimeUnit.MILLISECONDS.sleep(1000 / A_SECOND);
    }
    server.shutdown();
    server.awaitTermination(1, TimeUnit.MINUTES);
    table.note(
        "20 requests a second for 30 s: %d of %d finished, at most %d under way at once,"
            + " heap %+d MB from the 5th second on",
        finished.get(), A_SECOND * SECONDS, mostWaiting, (heap() - heapEarly) >> 20);
  }

  private static long heap() {
    System.gc();
    Runtime r = Runtime.getRuntime();
    return r.totalMemory() - r.freeMemory();
  }
}
