package org.nineveils.app.base.paint;

import java.util.function.Supplier;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.mask.Stroke;
import org.springframework.stereotype.Component;

/** Strokes read before, by table and id: a row of a stroke never changes. */
@Component
public class ParsedStrokes {
  /** Bytes of a boxed number in a list, and of a stroke besides. */
  private static final int BYTES_A_NUMBER = 28;

  private static final int BYTES_A_STROKE = 120;

  private record Key(String table, long id) {}

  private final Shelf<Key, Stroke> kept;

  ParsedStrokes(Budget budget) {
    this.kept =
        budget.shelf("strokes", s -> BYTES_A_STROKE + (long) s.points().size() * BYTES_A_NUMBER);
  }

  Stroke get(String table, long id, Supplier<Stroke> read) {
    return kept.get(new Key(table, id), read);
  }
}
