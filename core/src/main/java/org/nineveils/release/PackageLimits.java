package org.nineveils.release;

/** What a release file may be at the most: the one place where these bounds stand. */
public final class PackageLimits {
  /** Largest file taken, in bytes. */
  public static final long MAX_BYTES = 256L * 1024 * 1024;

  /** Most entries. */
  public static final int MAX_ENTRIES = 4000;

  /** Largest single entry once unpacked, in bytes. */
  public static final int MAX_ENTRY_BYTES = 8 * 1024 * 1024;

  /** Most bytes of all entries once unpacked. */
  public static final long MAX_UNPACKED = 512L * 1024 * 1024;

  private PackageLimits() {}
}
