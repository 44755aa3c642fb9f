package org.nineveils.app.base.undo;

import java.util.List;
import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.refusal.Refusal;

/**
 * What a save says of the state that it was built on, and how it counts for undo.
 *
 * @param rev revision of that state
 * @param after names of requests of the same page that were on their way when this one was sent, as
 *     when a page is left: where they came first, the state that they left is as good
 * @param built the document of revision {@code rev} where {@code after} names any: what was changed
 *     since then is put onto what they left
 * @param label what was done, for undo
 * @param gesture name of the drag or the held key; saves of one gesture are one step of undo
 */
public record Save(
    int rev, List<String> after, Map<String, Object> built, String label, String gesture) {
  private static final int MOST_AFTER = 200;

  public Save {
    if (gesture.length() > Asked.LONGEST || after.size() > MOST_AFTER) {
      throw new Refusal("The save names too much that it belongs to.");
    }
  }

  /** A save on a state that is known. */
  public static Save on(int rev, String label) {
    return new Save(rev, List.of(), Map.of(), label, "");
  }

  /** What a request says. */
  public static Save of(Fields f) {
    return new Save(
        f.whole("rev"),
        f.has("after") ? f.texts("after") : List.of(),
        f.object("built").raw(),
        f.text("label"),
        f.text("gesture", ""));
  }

  /**
   * Whether a row is at the state that this save was built on, or at one that a request of the same
   * page left.
   *
   * @param asked name of the request that changed the row last
   */
  public boolean follows(int rowRev, String asked) {
    return rowRev == rev || (!asked.isEmpty() && after.contains(asked));
  }

  /** The same under another name for undo. */
  public Save labelled(String other) {
    return new Save(rev, after, built, other, gesture);
  }
}
