package org.nineveils.app.jobs;

import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * How many megapixels are rendered at once by all jobs together, so that three clicks do not make
 * three large renders side by side. A picture that is larger than all there is runs alone.
 */
@Component
public class Permits {
  /** Share of the heap that jobs may fill. */
  private static final double SHARE = 0.4;

  /** Bytes that a megapixel takes while it is rendered: source, result, and a file of it. */
  private static final long BYTES_A_MEGAPIXEL = 36_000_000;

  private final int all;
  private final Semaphore free;

  @Autowired
  Permits() {
    this((int) (SHARE * Runtime.getRuntime().maxMemory() / BYTES_A_MEGAPIXEL));
  }

  Permits(int megapixels) {
    all = Math.max(1, megapixels);
    free = new Semaphore(all, true);
  }

  /** Runs work when there is room for its picture. */
  <T> T with(long pixels, Supplier<T> work) {
    int wanted = (int) Math.min(all, Math.max(1, (pixels + 999_999) / 1_000_000));
    free.acquireUninterruptibly(wanted);
    try {
      return work.get();
    } finally {
      free.release(wanted);
    }
  }
}
