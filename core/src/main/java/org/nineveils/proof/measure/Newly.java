package org.nineveils.proof.measure;

/** Shares of pixels that are now what they were not before. */
final class Newly {
  private Newly() {}

  /** Whether pixels are so, by the lowest and the highest of their channels. */
  interface Test {
    /** Writes it down for every pixel: a loop of its own for each test, which the JIT unrolls. */
    void mark(float[] low, float[] high, boolean[] is);
  }

  /**
   * Per cent of all pixels outside a frame that are so in the finished picture and were not in the
   * plain one.
   *
   * @param id of the measure: what the plain picture is like is kept under it
   */
  static Reading share(Pair pair, String id, Test test) {
    Seen plain = pair.seen(Pair.Side.PLAIN);
    boolean[] was = plain.once("is " + id, () -> marked(plain, test));
    boolean[] is = marked(pair.seen(Pair.Side.FINISHED), test);
    int n = 0;
    for (int i = 0; i < is.length; i++) {
      n += is[i] && !was[i] && !pair.isFramed(i) ? 1 : 0;
    }
    return Reading.of(100.0 * n / Math.max(1, pair.open()));
  }

  private static boolean[] marked(Seen seen, Test test) {
    float[][] ends = seen.ends();
    boolean[] is = new boolean[ends[0].length];
    test.mark(ends[0], ends[1], is);
    return is;
  }
}
