package org.nineveils.app.fault;

/** A request that does not fit the present state: a name that is taken, a stale save. */
public class Conflict extends RuntimeException {
  private static final long serialVersionUID = 1L;

  private final boolean stale;

  public Conflict(String sentence) {
    this(sentence, false);
  }

  private Conflict(String sentence, boolean stale) {
    super(sentence);
    this.stale = stale;
  }

  /** Whether it was a save on an older state than the present one. */
  public boolean isStale() {
    return stale;
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
        "%s was changed in another window. Here is the newer state; your last change is not in it."
            .formatted(what),
        true);
  }
}
