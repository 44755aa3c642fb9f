package org.nineveils.veil;

/** What a veil does to a picture that another one may undo or do a second time. */
public enum Leaning {
  CRISP("makes the picture crisp"),
  SOFT("makes the picture soft"),
  EDGE("works on the edge of the picture"),
  NONE("");

  private final String does;

  Leaning(String does) {
    this.does = does;
  }

  /** What it does, for sentences. */
  public String does() {
    return does;
  }

  /** Whether two things that lean so do not go together. */
  public boolean opposes(Leaning other) {
    return (this == CRISP && other == SOFT)
        || (this == SOFT && other == CRISP)
        || (this == EDGE && other == EDGE);
  }
}
