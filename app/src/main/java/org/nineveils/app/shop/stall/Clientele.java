package org.nineveils.app.shop.stall;

import java.time.Duration;
import java.time.Instant;
import java.util.SplittableRandom;

/**
 * A simulated clientele: how many would have fetched a version by now, had this been a shop. Made
 * up, the same for the same version and hour; always shown as simulated.
 */
final class Clientele {
  /** Most hours that are counted one by one: a year. */
  private static final long MOST_HOURS = 24 * 365;

  /** Share of the first day's rush that is left after each further day. */
  private static final double DAY_AFTER_DAY = 0.93;

  /** Fetches an hour on the first day, at the most. */
  private static final double FIRST_RUSH = 0.5;

  private Clientele() {}

  /**
   * How many fetched it.
   *
   * @param key names the version
   * @param from when it was put out
   * @param to when that ended, or now
   */
  static int fetched(String key, Instant from, Instant to) {
    SplittableRandom random = new SplittableRandom(key.hashCode() * 0x9E3779B97F4A7C15L);
    double rush = FIRST_RUSH * (0.3 + 0.7 * random.nextDouble());
    long hours = Math.min(MOST_HOURS, Math.max(0, Duration.between(from, to).toHours()));
    int count = 0;
    for (long hour = 0; hour < hours; hour++) {
      count += random.nextDouble() < rush * Math.pow(DAY_AFTER_DAY, hour / 24.0) ? 1 : 0;
    }
    return count;
  }
}
