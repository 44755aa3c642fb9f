package org.nineveils.benchmarks;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** Times of one piece of work, in milliseconds. */
final class Timing {
  private final Runnable work;
  private final List<Double> millis = new ArrayList<>();

  Timing(Runnable work) {
    this.work = work;
  }

  void discard() {
    work.run();
  }

  void take() {
    long start = System.nanoTime();
    work.run();
    millis.add((System.nanoTime() - start) / 1e6);
  }

  double median() {
    List<Double> sorted = new ArrayList<>(millis);
    Collections.sort(sorted);
    return sorted.get(sorted.size() / 2);
  }

  double fastest() {
    return Collections.min(millis);
  }
}
