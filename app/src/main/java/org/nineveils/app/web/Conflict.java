package org.nineveils.app.web;

/** A request that does not fit the present state: a name that is taken, a stale save. */
public class Conflict extends RuntimeException {
  private static final long serialVersionUID = 1L;

  public Conflict(String sentence) {
    super(sentence);
  }

  /** A name that something else has. */
  public static Conflict taken(String what, String name) {
    return new Conflict(
        "There is already %s called “%s”. Nothing was changed; choose another name."
            .formatted(what, name));
  }

  /** A save made on an older state than the present one. */
  public static Conflict stale(String what) {
    return new Conflict(
        "%s was changed in another window. Your last change was not saved; reload to see the newer state."
            .formatted(what));
  }
}
