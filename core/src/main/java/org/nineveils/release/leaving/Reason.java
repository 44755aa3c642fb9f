package org.nineveils.release.leaving;

/** Why a release should not leave as it is, in the order of the screens. */
public enum Reason {
  NOTHING(Level.MUST, "nothing goes in", "choose"),
  EMPTY_KIT(Level.MUST, "no effect of it goes in", "choose"),
  EMPTY_SECTION(Level.MUST, "no effect is in it", "leave"),
  VERSION(Level.MUST, "packed before, from another state", "version"),
  PLANNED(Level.MUST, "planned, not built", "build"),
  PICTURE(Level.MUST, "lays a picture over photos that cannot be read", "build"),
  TWICE(Level.MUST, "two effects are called that", "rename"),
  PROMISE(Level.MUST, "its note promises a dial or place that is not there", "build"),
  NOTE(Level.LOOK, "without a note", "write"),
  UNPLACED(Level.LOOK, "brushed on, nobody says where", "place"),
  REGION(Level.LOOK, "brushed on, never proofed on its region", "proof"),
  UNPROOFED(Level.LOOK, "not proofed on every photo", "proof"),
  OVER(Level.LOOK, "over a limit", "look"),
  NEAR(Level.LOOK, "near a limit", "look"),
  ALIKE(Level.LOOK, "look alike", "compare"),
  OLDER(Level.LOOK, "made with an older edition", "update"),
  TOO_LOW(Level.LOOK, "lower than what changed asks for", "version"),
  LARGE(Level.LOOK, "very large", "choose"),
  COVER(Level.LOOK, "no cover", "cover"),
  LICENCE(Level.LOOK, "no licence", "licence");

  /** Whether a release is kept in. */
  public enum Level {
    /** It is not packed before this is mended. */
    MUST,
    /** It is asked once. */
    LOOK
  }

  private final Level level;
  private final String words;
  private final String way;

  Reason(Level level, String words, String way) {
    this.level = level;
    this.words = words;
    this.way = way;
  }

  public Level level() {
    return level;
  }

  /** As screens say it, behind a name. */
  public String words() {
    return words;
  }

  /** Id of the way to mend it. */
  public String way() {
    return way;
  }
}
