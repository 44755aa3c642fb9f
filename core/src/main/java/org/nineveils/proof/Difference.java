package org.nineveils.proof;

import org.nineveils.picture.Picture;

/** Where two pictures differ, made strong enough to be seen. */
public final class Difference {
  /** How many times as strong. */
  public static final int TIMES = 8;

  private Difference() {}

  /**
   * Eight times the distance of each encoded channel, at most 1: black where both are the same.
   *
   * @param two of the size of the first
   */
  public static Picture of(Picture one, Picture two) {
    return new Picture(
        one.width(),
        one.height(),
        apart(one.r(), two.r()),
        apart(one.g(), two.g()),
        apart(one.b(), two.b()));
  }

  private static float[] apart(float[] a, float[] b) {
    float[] out = new float[a.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = Math.min(1f, TIMES * Math.abs(a[i] - b[i]));
    }
    return out;
  }
}
