package org.nineveils.stack;

import org.nineveils.kernel.Band;

/** The bands of one thread; they trade places rather than being copied. */
final class Workspace {
  private static final ThreadLocal<Workspace> OF_THREAD = ThreadLocal.withInitial(Workspace::new);

  Band now = new Band();
  Band adjusted = new Band();
  Band spare = new Band();
  Band kept = new Band();
  final float[] coverage = new float[Band.CAPACITY];

  static Workspace ofThread() {
    return OF_THREAD.get();
  }

  /** Makes a result (adjusted or spare) the current band. */
  void swapNow(Band result) {
    Band old = now;
    now = result;
    if (result == adjusted) {
      adjusted = old;
    } else {
      spare = old;
    }
  }
}
