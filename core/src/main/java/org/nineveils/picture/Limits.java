package org.nineveils.picture;

/** What a picture file may be at the most: the one place where these bounds stand. */
public final class Limits {
  /** Largest picture taken, in pixels: a 60-megapixel frame fits, a header that lies does not. */
  public static final long MAX_PIXELS = 64_000_000L;

  /** Longest side taken, in pixels. */
  public static final int MAX_SIDE = 20_000;

  /** Largest file taken, in bytes. */
  public static final long MAX_BYTES = 160L * 1024 * 1024;

  private Limits() {}
}
