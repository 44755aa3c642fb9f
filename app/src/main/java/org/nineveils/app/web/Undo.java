package org.nineveils.app.web;

import java.util.Map;
import org.nineveils.app.data.Journal;

/**
 * What a page can take back or do again.
 *
 * @param canUndo something can be taken back
 * @param canRedo something can be done again
 */
public record Undo(boolean canUndo, boolean canRedo) {

  public static Undo of(Journal journal, String scope) {
    return new Undo(journal.canUndo(scope), journal.canRedo(scope));
  }

  /** Takes back or does again, and says what in one sentence. */
  public static Map<String, Object> run(Journal journal, String scope, boolean redo) {
    String said =
        redo
            ? journal.redo(scope).map("Done again: %s."::formatted).orElse("Nothing to do again.")
            : journal.undo(scope).map("Taken back: %s."::formatted).orElse("Nothing to take back.");
    return Map.of("said", said);
  }
}
