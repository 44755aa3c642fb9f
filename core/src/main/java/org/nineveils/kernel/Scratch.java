package org.nineveils.kernel;

/** Three bands of a thread's own, for stages that run over rows before the veil's kernel does. */
public final class Scratch {
  private static final ThreadLocal<Band[]> BANDS =
      ThreadLocal.withInitial(() -> new Band[] {new Band(), new Band(), new Band()});

  private Scratch() {}

  /** The bands of the running thread; what calls may not lend them to what it calls. */
  public static Band[] ofThread() {
    return BANDS.get();
  }
}
