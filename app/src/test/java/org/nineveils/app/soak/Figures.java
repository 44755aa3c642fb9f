package org.nineveils.app.soak;

import java.util.ArrayList;
import java.util.List;

/** The table that a soak prints, and what went wrong on the way. */
final class Figures {
  private final List<String> rows = new ArrayList<>();
  private final List<String> wrong = new ArrayList<>();

  /** A figure. */
  synchronized void row(String what, String figure) {
    rows.add("  %-58s %s".formatted(what, figure));
  }

  /** A figure with a bound that must hold. */
  synchronized void row(String what, String figure, boolean holds, String bound) {
    row(what, "%s  (%s)%s".formatted(figure, bound, holds ? "" : "  ← not held"));
    if (!holds) {
      wrong.add("%s: %s, %s".formatted(what, figure, bound));
    }
  }

  synchronized List<String> wrong() {
    return List.copyOf(wrong);
  }

  @Override
  public synchronized String toString() {
    return String.join("\n", rows);
  }
}
