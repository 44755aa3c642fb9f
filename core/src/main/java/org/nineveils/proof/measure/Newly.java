package org.nineveils.proof.measure;

import org.nineveils.picture.Picture;

/** Shares of pixels that are now what they were not before. */
final class Newly {
  private Newly() {}

  /** Whether a pixel is so. */
  interface Test {
    boolean is(float r, float g, float b);
  }

  /** Per cent of all pixels that are so in the finished picture and were not in the plain one. */
  static Reading share(Pair pair, Test test) {
    Picture before = pair.picture(Pair.Side.PLAIN);
    Picture now = pair.picture(Pair.Side.FINISHED);
    int n = 0;
    int all = pair.area().pixels();
    for (int i = 0; i < all; i++) {
      boolean is = test.is(now.r()[i], now.g()[i], now.b()[i]);
      n += is && !test.is(before.r()[i], before.g()[i], before.b()[i]) ? 1 : 0;
    }
    return Reading.of(100.0 * n / all);
  }
}
