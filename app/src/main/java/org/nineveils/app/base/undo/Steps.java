package org.nineveils.app.base.undo;

import java.util.List;

/**
 * What a user wants taken back or done again, and how she answered where something stood in the
 * way.
 *
 * @param redo done again instead of taken back
 * @param edit the edit that is meant; null for the last one
 * @param first other edits that are replayed before, in this order, since this one needs them
 * @param rename what comes back gets a free name where its own is taken
 * @param sure she was asked and wants it
 * @param pass the step is let be and never asked for again
 */
public record Steps(
    Boolean redo, Long edit, List<Long> first, Boolean rename, Boolean sure, Boolean pass) {
  /** The last edit, one way or the other. */
  public static Steps last(boolean redo) {
    return new Steps(redo, null, null, false, false, false);
  }

  List<Long> firsts() {
    return first == null ? List.of() : first;
  }

  boolean isRedo() {
    return Boolean.TRUE.equals(redo);
  }

  boolean renames() {
    return Boolean.TRUE.equals(rename);
  }

  boolean isSure() {
    return Boolean.TRUE.equals(sure);
  }

  boolean passes() {
    return Boolean.TRUE.equals(pass);
  }
}
