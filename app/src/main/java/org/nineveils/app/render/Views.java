package org.nineveils.app.render;

import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import org.nineveils.app.data.Recent;
import org.nineveils.stack.Cancel;
import org.nineveils.stack.LiveView;

/** The stages that asked last, by the names they give themselves. */
final class Views {
  private static final int MOST_NAMES = 256;

  /** Views whose pictures are kept: some 36 bytes a pixel each. */
  private static final int MOST_LIVE = 4;

  private final Map<String, AtomicLong> turns = new Recent<>(MOST_NAMES);
  private final Map<String, LiveView> live = new Recent<>(MOST_LIVE);

  /**
   * Tells a request that a newer one of the same view has come; never for a view without a name.
   */
  synchronized Cancel newest(String view) {
    if (view.isEmpty()) {
      return Cancel.NEVER;
    }
    AtomicLong turn = turns.computeIfAbsent(view, v -> new AtomicLong());
    long mine = turn.incrementAndGet();
    return () -> turn.get() != mine;
  }

  /** What a view remembers of its last picture. */
  synchronized LiveView live(String view) {
    return live.computeIfAbsent(view, v -> new LiveView());
  }
}
