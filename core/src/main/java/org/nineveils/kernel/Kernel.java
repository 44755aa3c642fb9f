package org.nineveils.kernel;

/**
 * The maths of a veil with its settings fixed. Works each pixel out by itself, from its colour and
 * its place; shared between threads, so it keeps no state of its own.
 */
public non-sealed interface Kernel extends Adjustment {
  /**
   * Adjusts a run of pixels.
   *
   * @param in sRGB-encoded, 0…1; not changed
   * @param out receives sRGB-encoded values in 0…1; another band than {@code in}
   * @param n how many pixels, 1…{@link Band#CAPACITY}
   * @param x column of the first pixel in the whole picture
   * @param y row in the whole picture
   * @param spare a band that may be overwritten
   */
  void run(Band in, Band out, int n, int x, int y, Band spare);

  /** Whether the result hangs on the pixels that it is given, not only on what was seen before. */
  default boolean readsInput() {
    return true;
  }
}
