package org.nineveils.app.base.undo;

import java.util.List;
import java.util.Map;

/**
 * What a page can take back or do again.
 *
 * @param canUndo something can be taken back
 * @param canRedo something can be done again
 * @param edit id of the edit that would be taken back next; 0 for none
 * @param aside edits that were taken back with work in them, kept until the maker says otherwise
 */
public record Undo(boolean canUndo, boolean canRedo, long edit, List<Edit> aside) {

  public static Undo of(Journal journal, String scope) {
    Journal.Possible possible = journal.possible(scope);
    return new Undo(
        possible.undo() != null,
        possible.redo() != null,
        possible.undo() == null ? 0 : possible.undo().id(),
        possible.aside());
  }

  /** The edit just made, for the “Undo” of the sentence that tells of it. */
  public static Map<String, Object> named(Journal journal, String scope, String address) {
    return Map.of("address", address, "edit", of(journal, scope).edit());
  }

  /** Takes back or does again, and says what in one sentence. */
  public static Map<String, Object> run(Journal journal, String scope, Steps steps) {
    return Map.of("said", journal.step(scope, steps));
  }
}
