package org.nineveils.app.photo.render;

import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import org.nineveils.app.base.data.Recent;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.stack.Cancel;
import org.nineveils.stack.LiveView;

/** The stages that asked last, by the names they give themselves. */
final class Views {
  private static final int MOST_NAMES = 256;

  private final Map<String, AtomicLong> turns = new Recent<>(MOST_NAMES);
  private final Shelf<String, LiveView> live;

  Views(Budget budget) {
    this.live = budget.shelf("stages", LiveView::bytes);
  }

  /**
   * Tells a request that a newer one for the same picture has come, of whatever fineness; never for
   * a view without a name.
   */
  synchronized Cancel newest(String view) {
    if (view.isEmpty()) {
      return Cancel.NEVER;
    }
    AtomicLong turn = turns.computeIfAbsent(view.split("\\.", 2)[0], v -> new AtomicLong());
    long mine = turn.incrementAndGet();
    return () -> turn.get() != mine;
  }

  /** What a view remembers of its last picture. */
  LiveView live(String view) {
    return live.get(view, LiveView::new);
  }

  /** Weighs a view anew, after it has rendered. */
  void rendered(String view, LiveView rendered) {
    live.put(view, rendered);
  }
}
