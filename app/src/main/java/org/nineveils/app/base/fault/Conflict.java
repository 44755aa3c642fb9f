package org.nineveils.app.base.fault;

/** A request that does not fit the present state: a name that is taken, a stale save. */
public class Conflict extends RuntimeException {
  private static final long serialVersionUID = 1L;

  /** What a page can make of it. */
  public enum Sort {
    /** It is told, and that is all. */
    PLAIN,
    /** A save on an older state than the present one. */
    STALE,
    /** The same request was done before, and its answer was lost. */
    DONE
  }

  private final Sort sort;

  public Conflict(String sentence) {
    this(sentence, Sort.PLAIN);
  }

  private Conflict(String sentence, Sort sort) {
    super(sentence);
    this.sort = sort;
  }

  public Sort sort() {
    return sort;
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
        Sort.STALE);
  }

  /** A request that was done before under the same name. */
  public static Conflict done() {
    return new Conflict("This was done before; it is not done twice.", Sort.DONE);
  }
}
