package org.nineveils.app.undo;

import org.nineveils.document.Fields;
import org.nineveils.refusal.Refusal;

/**
 * What a save says of the state that it was built on, and how it counts for undo.
 *
 * @param rev revision of that state
 * @param token name that the page gives to this save; empty for none
 * @param after name of a save of the same page that was on its way when this one was sent, as when
 *     a page is left: this one was built on what that one stores; empty for none
 * @param label what was done, for undo
 * @param gesture name of the drag or the held key; saves of one gesture are one step of undo
 */
public record Save(int rev, String token, String after, String label, String gesture) {
  /** The condition under which a row is still at that state; takes rev and after. */
  public static final String MATCH = "(rev = ? or (token <> '' and token = ?))";

  private static final int LONGEST = 80;

  public Save {
    if (token.length() > LONGEST || after.length() > LONGEST || gesture.length() > LONGEST) {
      throw new Refusal("The name of a save is too long.");
    }
  }

  /** A save on a state that is known. */
  public static Save on(int rev, String label) {
    return new Save(rev, "", "", label, "");
  }

  /** What a request says. */
  public static Save of(Fields f) {
    return new Save(
        f.whole("rev"),
        f.text("token", ""),
        f.text("after", ""),
        f.text("label"),
        f.text("gesture", ""));
  }
}
