package org.nineveils.benchmarks;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Times of pieces of work that are run turn about, in milliseconds. */
final class Timing {
  private final Runnable work;
  private final List<Double> millis = new ArrayList<>();

  private Timing(Runnable work) {
    this.work = work;
  }

  /**
   * Medians of pieces of work, one after the other in every round.
   *
   * @param warmUp rounds that are not counted
   * @param rounds rounds that are
   */
  static double[] medians(int warmUp, int rounds, Runnable... works) {
    List<Timing> timings = new ArrayList<>();
    for (Runnable work : works) {
      timings.add(new Timing(work));
    }
    for (int i = 0; i < warmUp; i++) {
      timings.forEach(t -> t.work.run());
    }
    for (int i = 0; i < rounds; i++) {
      timings.forEach(Timing::take);
    }
    return timings.stream().mapToDouble(Timing::median).toArray();
  }

  private void take() {
    long start = System.nanoTime();
    work.run();
    millis.add((System.nanoTime() - start) / 1e6);
  }

  private double median() {
    List<Double> sorted = new ArrayList<>(millis);
    Collections.sort(sorted);
    return sorted.get(sorted.size() / 2);
  }
}
