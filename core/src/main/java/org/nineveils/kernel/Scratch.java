package org.nineveils.kernel;

/**
 * Room to work in of a thread's own: it is made once and lent again and again, so that rows of a
 * picture cost no memory. What calls may not lend it to what it calls.
 */
public final class Scratch {
  private static final ThreadLocal<Band[]> BANDS =
      ThreadLocal.withInitial(() -> new Band[] {new Band(), new Band(), new Band()});

  private final ThreadLocal<float[][]> planes;

  /**
   * Planes for stages of one sort.
   *
   * @param count how many
   * @param more floats of each beyond a band's
   */
  public Scratch(int count, int more) {
    planes = ThreadLocal.withInitial(() -> new float[count][Band.CAPACITY + more]);
  }

  /** Three bands, for stages that run over rows before a veil's kernel does. */
  public static Band[] ofThread() {
    return BANDS.get();
  }

  /** The planes of the running thread. */
  public float[][] planes() {
    return planes.get();
  }
}
