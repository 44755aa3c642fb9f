package org.nineveils.benchmarks;

import java.util.Random;
import org.nineveils.picture.Picture;

/** A picture with smooth colours and a little grain, the same every time. */
final class TestPicture {
  private static final long SEED = 9;
  private static final double GRAIN = 0.02;

  private TestPicture() {}

  static Picture of(int width, int height) {
    Random random = new Random(SEED);
    Picture p = Picture.blank(width, height);
    for (int y = 0; y < height; y++) {
      for (int x = 0; x < width; x++) {
        int i = y * width + x;
        double u = x / (double) width;
        double v = y / (double) height;
        p.r()[i] = tone(0.5 + 0.4 * Math.sin(5 * u + 2 * v), random);
        p.g()[i] = tone(0.45 + 0.4 * Math.sin(4 * v - 3 * u), random);
        p.b()[i] = tone(0.4 + 0.35 * Math.cos(6 * u * v), random);
      }
    }
    return p;
  }

  private static float tone(double v, Random random) {
    return (float) Math.min(1, Math.max(0, v + GRAIN * random.nextGaussian()));
  }
}
