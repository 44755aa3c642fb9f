package org.nineveils.kernel;

/** The maths of a veil with its settings fixed: pixel by pixel, or with a look around. */
public sealed interface Adjustment permits Kernel, AreaKernel {
  /**
   * Bytes that it keeps from being freed, at least roughly: three tables of tones unless it says.
   */
  default long bytes() {
    return 3L * Float.BYTES * ToneTable.STEPS;
  }
}
