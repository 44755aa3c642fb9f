package org.nineveils.proof.measure;

/** Shares of pixels that are now what they were not before. */
final class Newly {
  private Newly() {}

  /** Whether a pixel is so, by the lowest and the highest of its channels. */
  interface Test {
    boolean is(float low, float high);
  }

  /** Per cent of all pixels that are so in the finished picture and were not in the plain one. */
  static Reading share(Pair pair, Test test) {
    float[][] before = pair.seen(Pair.Side.PLAIN).ends();
    float[][] now = pair.seen(Pair.Side.FINISHED).ends();
    int n = 0;
    int all = pair.area().pixels();
    for (int i = 0; i < all; i++) {
      n += test.is(now[0][i], now[1][i]) && !test.is(before[0][i], before[1][i]) ? 1 : 0;
    }
    return Reading.of(100.0 * n / all);
  }
}
