package org.nineveils.app.base.undo;

/**
 * An edit in the journal.
 *
 * @param label what was done
 * @param state done, undone or aside
 * @param holds how many later edits it took with it when it was taken back
 * @param madeAt when, ISO 8601 in UTC
 */
public record Edit(long id, String label, String state, int holds, String madeAt) {
  boolean isDone() {
    return state.equals("done");
  }
}
