package org.nineveils.testing;

import java.util.Arrays;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.picture.Picture;

/** How far two pictures look apart. */
public final class Looks {
  /** Every so many pixels are compared; odd, so that no column is left out. */
  private static final int EVERY = 7;

  private Looks() {}

  /**
   * Colour differences by CIEDE2000.
   *
   * @param mean over the picture
   * @param high 99th percentile
   */
  public record Difference(double mean, double high) {}

  /** How far two pictures of one size look apart. */
  public static Difference apart(Picture a, Picture b) {
    double[] d = new double[(a.r().length + EVERY - 1) / EVERY];
    for (int k = 0; k < d.length; k++) {
      int i = k * EVERY;
      d[k] = Ciede2000.between(at(a, i), at(b, i));
    }
    Arrays.sort(d);
    return new Difference(Arrays.stream(d).average().orElse(0), d[(int) (0.99 * (d.length - 1))]);
  }

  private static Lab at(Picture p, int i) {
    return Lab.ofSrgb(p.r()[i], p.g()[i], p.b()[i]);
  }
}
