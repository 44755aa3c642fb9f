package org.nineveils.veil.crisp;

import java.util.PriorityQueue;
import org.nineveils.filter.Lowest;
import org.nineveils.filter.Plane;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;

/**
 * The colour of the air light: mean of the pixels whose dark channel is among the lightest
 * thousandth. Source: He, Sun and Tang (2011), section 4.4, which takes the single lightest of
 * these pixels; the mean is less at the mercy of a catch light.
 */
final class AirLight {
  private static final double SHARE = 0.001;
  private static final int FEWEST = 20;
  private static final double PATCH = 0.0125;

  /** Darkest air light, so that no division runs away on a black picture. */
  private static final float DARKEST = 0.2f;

  private AirLight() {}

  /**
   * Estimates it.
   *
   * @param picture the whole picture, small
   * @return red, green, blue, 0.2…1
   */
  static float[] of(Picture picture) {
    float[] lowest = new float[picture.r().length];
    for (int i = 0; i < lowest.length; i++) {
      lowest[i] = Math.min(picture.r()[i], Math.min(picture.g()[i], picture.b()[i]));
    }
    int patch = (int) Math.max(1, Math.round(PATCH * picture.longSide()));
    Part whole = Part.whole(picture);
    float[] dark = Lowest.of(new Plane(whole.area(), lowest), patch).values();
    float from = least(dark, Math.max(FEWEST, (int) (dark.length * SHARE)));
    double[] sum = new double[4];
    for (int i = 0; i < dark.length; i++) {
      if (dark[i] >= from) {
        sum[0] += picture.r()[i];
        sum[1] += picture.g()[i];
        sum[2] += picture.b()[i];
        sum[3]++;
      }
    }
    float[] air = new float[3];
    for (int c = 0; c < 3; c++) {
      air[c] = Math.max(DARKEST, (float) (sum[c] / sum[3]));
    }
    return air;
  }

  /** The least of the so many highest values; of all where there are fewer. */
  private static float least(float[] values, int count) {
    PriorityQueue<Float> highest = new PriorityQueue<>(count);
    for (float v : values) {
      if (highest.size() < count) {
        highest.add(v);
      } else if (v > highest.peek()) {
        highest.poll();
        highest.add(v);
      }
    }
    return highest.peek();
  }
}
