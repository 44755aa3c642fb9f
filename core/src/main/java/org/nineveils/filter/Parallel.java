package org.nineveils.filter;

import java.util.stream.IntStream;

/** Runs over rows in blocks, on all processors. */
final class Parallel {
  /** Rows of a block: enough to share what a window has read, few enough to spread the work. */
  private static final int ROWS = 32;

  /** Values of a run: a few of them fit the cache together. */
  private static final int VALUES = 8192;

  private Parallel() {}

  /** Works on rows from…to−1. */
  interface Rows {
    void run(int from, int to);
  }

  static void rows(int count, Rows work) {
    blocks(count, ROWS, work);
  }

  /** Works on blocks of so many rows each. */
  static void blocks(int count, int rows, Rows work) {
    int blocks = (count + rows - 1) / rows;
    IntStream.range(0, blocks)
        .parallel()
        .forEach(i -> work.run(i * rows, Math.min(count, (i + 1) * rows)));
  }

  /** Works on n values from index {@code from} on. */
  interface Run {
    void run(int from, int n);
  }

  static void runs(int count, Run work) {
    int runs = (count + VALUES - 1) / VALUES;
    IntStream.range(0, runs)
        .parallel()
        .forEach(i -> work.run(i * VALUES, Math.min(VALUES, count - i * VALUES)));
  }
}
