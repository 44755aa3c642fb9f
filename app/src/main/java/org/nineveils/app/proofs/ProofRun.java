package org.nineveils.app.proofs;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;

/** One making of a proof sheet: cells in the order of rendering, and how far it has come. */
final class ProofRun {
  /**
   * An effect on a photo.
   *
   * @param key name of its small picture
   */
  record Cell(long effect, long photo, String key) {}

  /**
   * How far a sheet has come.
   *
   * @param done cells that are there
   * @param total cells of the sheet
   * @param running whether more are being made
   * @param secondsLeft estimate from this run's pace, 0 where there is none yet
   */
  record Progress(int done, int total, boolean running, long secondsLeft) {}

  private final List<Cell> sheet;
  private final List<Cell> cells;
  private final long started = System.nanoTime();
  private final AtomicInteger next = new AtomicInteger();
  private final AtomicInteger made = new AtomicInteger();
  private volatile boolean stopped;

  /**
   * A run over the cells that are missing.
   *
   * @param sheet all cells of the sheet
   * @param missing those of them to make
   */
  ProofRun(List<Cell> sheet, List<Cell> missing) {
    this.sheet = List.copyOf(sheet);
    this.cells = List.copyOf(missing);
  }

  /** All cells of the sheet, as they were when the run was started. */
  List<Cell> sheet() {
    return sheet;
  }

  /** The next cell to make, or null when all are given out or the run was stopped. */
  Cell take() {
    int i = next.getAndIncrement();
    return stopped || i >= cells.size() ? null : cells.get(i);
  }

  void finished() {
    made.incrementAndGet();
  }

  void stop() {
    stopped = true;
  }

  boolean wasStopped() {
    return stopped;
  }

  boolean isRunning() {
    return !stopped && made.get() < cells.size();
  }

  Progress progress() {
    int n = made.get();
    int left = cells.size() - n;
    double seconds = (System.nanoTime() - started) / 1e9;
    long secondsLeft = n == 0 ? 0 : (long) Math.ceil(seconds / n * left);
    int before = sheet.size() - cells.size();
    return new Progress(before + n, sheet.size(), isRunning(), secondsLeft);
  }
}
