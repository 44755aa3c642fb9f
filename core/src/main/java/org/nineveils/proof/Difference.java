package org.nineveils.proof;

import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.filter.Evenly;
import org.nineveils.picture.Picture;

/** Where two pictures differ, made strong enough to be seen, and by how much. */
public final class Difference {
  /** How many times as strong. */
  public static final int TIMES = 8;

  /** One of so many pixels is compared. */
  private static final int EVERY = 7;

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

  /**
   * Mean colour difference, ΔE00 (CIE 142; G. Sharma, W. Wu, E. Dalal, 2005), over every seventh
   * pixel or so.
   *
   * @param two of the size of the first
   */
  public static double mean(Picture one, Picture two) {
    double sum = 0;
    int n = 0;
    for (int i : Evenly.some(one.r().length, EVERY)) {
      Lab a = Lab.ofSrgb(one.r()[i], one.g()[i], one.b()[i]);
      sum += Ciede2000.between(a, Lab.ofSrgb(two.r()[i], two.g()[i], two.b()[i]));
      n++;
    }
    return sum / n;
  }

  private static float[] apart(float[] a, float[] b) {
    float[] out = new float[a.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = Math.min(1f, TIMES * Math.abs(a[i] - b[i]));
    }
    return out;
  }
}
