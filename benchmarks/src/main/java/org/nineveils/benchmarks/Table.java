package org.nineveils.benchmarks;

import java.io.PrintStream;
import java.util.Locale;

/** Prints figures beside their goals. */
final class Table {
  private final PrintStream out;

  Table(PrintStream out) {
    this.out = out;
    out.printf("%-52s %10s %10s %8s %8s%n", "", "ours, ms", "other, ms", "ratio", "goal");
  }

  /**
   * A row of two timings.
   *
   * @param goal largest ratio of our time to the other
   */
  void row(String what, double ours, double other, double goal) {
    double ratio = ours / other;
    out.printf(
        Locale.ROOT,
        "%-52s %10.1f %10.1f %8.2f %8.2f  %s%n",
        what,
        ours,
        other,
        ratio,
        goal,
        ratio <= goal ? "met" : "MISSED");
  }

  /** A line of text under the table so far. */
  void note(String format, Object... args) {
    out.printf(Locale.ROOT, format + "%n", args);
  }
}
