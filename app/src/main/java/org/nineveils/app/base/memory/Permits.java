package org.nineveils.app.base.memory;

import java.util.concurrent.Semaphore;
import java.util.function.Supplier;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.stereotype.Component;

/**
 * How many megapixels are decoded and rendered at once by all jobs and requests together, so that
 * three clicks do not make three large renders side by side. A picture that is larger than all
 * there is runs alone; a small one never waits. Work within work counts as one: it takes no more
 * permits, so that nobody who holds some waits for others.
 */
@Component
public class Permits {
  /** Bytes that a megapixel takes at the most: planes, samples as they come, and a file of it. */
  private static final long BYTES_A_MEGAPIXEL = 32_000_000;

  private static final long PACKED_AND_UNPACKED = 4;

  private static final ThreadLocal<Boolean> HOLDING = ThreadLocal.withInitial(() -> false);

  /** Pictures up to this many pixels do not wait. */
  static final long SMALL = 2_000_000;

  private final int all;
  private final Semaphore free;
  private final Budget budget;

  @Autowired
  Permits(Budget budget) {
    this((int) (Runtime.getRuntime().maxMemory() / BYTES_A_MEGAPIXEL), budget);
  }

  /** Permits for that many megapixels. */
  public Permits(int megapixels, Budget budget) {
    this.all = Math.max(1, megapixels);
    this.free = new Semaphore(all, true);
    this.budget = budget;
  }

  /**
   * Runs work when there is room for its picture. Where memory runs out all the same, everything
   * that is only kept goes, and it is tried once more with no other large work beside it; so it
   * must be work that can be begun anew.
   *
   * @throws OutOfMemoryError if it runs out then too
   */
  public <T> T with(long pixels, Supplier<T> work) {
    if (HOLDING.get()) {
      return work.get();
    }
    try {
      return pixels <= SMALL ? work.get() : holding(wanted(pixels), work);
    } catch (OutOfMemoryError e) {
      budget.giveWay();
      return holding(
          all,
          () -> {
            budget.giveWay();
            return work.get();
          });
    }
  }

  /**
   * The same for a package of that many bytes, which is in memory packed and unpacked while it is
   * looked at.
   */
  public <T> T unpacking(long bytes, Supplier<T> work) {
    return with(bytes * PACKED_AND_UNPACKED * 1_000_000 / BYTES_A_MEGAPIXEL, work);
  }

  /** Whether this thread holds permits that others may wait for. */
  static boolean isHolding() {
    return HOLDING.get();
  }

  private int wanted(long pixels) {
    return (int) Math.min(all, (pixels + 999_999) / 1_000_000);
  }

  private <T> T holding(int megapixels, Supplier<T> work) {
    free.acquireUninterruptibly(megapixels);
    HOLDING.set(true);
    try {
      return work.get();
    } finally {
      HOLDING.set(false);
      free.release(megapixels);
    }
  }
}
