package org.nineveils.proof.measure;

import java.util.function.Function;

/**
 * Local variation at the photo's own size: the root mean square of luma between blurs of 0, 0.7,
 * 1.5 and 3 ‰ of the long side, from the finest.
 */
final class Bands {
  private static final double[] SCALES = {0.0007, 0.0015, 0.003};

  /** The least that they are, pixels. */
  private static final double[] PIXELS = {0.7, 1.4, 2.8};

  /** Pixels in all places below which nothing is said. */
  static final int FEWEST = 36;

  private Bands() {}

  /**
   * Variations over the pixels that belong, of all places together.
   *
   * @param before of the plain photo, or of the finished one
   * @return empty where too few belong
   */
  static double[] of(Pair pair, boolean before, String name, Function<View, boolean[]> members) {
    double[] sums = new double[SCALES.length + 1];
    for (View view : pair.views()) {
      boolean[] in = view.open(members.apply(view));
      Seen seen = before ? view.before() : view.now();
      double[] own = seen.once("bands of " + name + view.border(), () -> sums(view, seen, in));
      for (int k = 0; k < sums.length; k++) {
        sums[k] += own[k];
      }
    }
    double n = sums[SCALES.length];
    if (n < FEWEST) {
      return new double[0];
    }
    double[] out = new double[SCALES.length];
    for (int k = 0; k < out.length; k++) {
      out[k] = Math.sqrt(sums[k] / n);
    }
    return out;
  }

  private static double[] sums(View view, Seen seen, boolean[] in) {
    double[] out = new double[SCALES.length + 1];
    float[] finer = seen.luma();
    for (int k = 0; k < SCALES.length; k++) {
      float[] coarser = seen.blurred(view.share(SCALES[k], PIXELS[k]));
      for (int i = 0; i < finer.length; i++) {
        if (in[i]) {
          double d = finer[i] - coarser[i];
          out[k] += d * d;
        }
      }
      finer = coarser;
    }
    for (boolean is : in) {
      out[SCALES.length] += is ? 1 : 0;
    }
    return out;
  }
}
