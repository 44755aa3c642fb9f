package org.nineveils.proof.measure;

import java.util.function.Function;

/**
 * Noise that has come up in flat parts at the photo's own size: the root of the difference of
 * squares of what lies finer than a blur of 0.7 ‰ of the long side (of 1.2 pixels at least), after
 * and before. Its spread is told by the median of its absolute values over 0.6745, which is the
 * standard deviation of noise, and which the edges of a frame or of a light that lies over a flat
 * part do not move (P. Rousseeuw, C. Croux, "Alternatives to the median absolute deviation",
 * Journal of the American Statistical Association 88, 1993). Of several places the worst counts.
 */
final class FineNoise {
  private static final double FINE = 0.0007;
  private static final double FINE_PIXELS = 1.2;

  /** Bins of absolute values. */
  private static final int BINS = 1 << 16;

  /** Median of the absolute values of a normal distribution, in standard deviations. */
  private static final double NORMAL = 0.6745;

  /** Pixels of a place below which its flat parts say nothing. */
  private static final int FEWEST = 400;

  private FineNoise() {}

  /**
   * Takes it.
   *
   * @param name of what the planes are
   * @param planes of a picture; their noises add up as squares do
   * @param top highest value that noise is told apart at
   * @return in the planes' unit
   */
  static Reading raised(Pair pair, String name, Function<Seen, float[][]> planes, double top) {
    double most = -1;
    for (View view : pair.views()) {
      boolean[] flat =
          view.open(view.within("flat parts", () -> FlatParts.of(pair.seen(Pair.Side.PLAIN))));
      int n = 0;
      for (boolean is : flat) {
        n += is ? 1 : 0;
      }
      if (n >= FEWEST) {
        double blur = view.share(FINE, FINE_PIXELS);
        double was =
            view.before()
                .once(
                    "noise of " + name + view.border(),
                    () -> squares(view.before(), planes, blur, flat, top));
        double is = squares(view.now(), planes, blur, flat, top);
        most = Math.max(most, Math.sqrt(Math.max(0, is - was)));
      }
    }
    return most < 0 ? Reading.not("hardly anything flat is on this photo") : Reading.of(most);
  }

  private static double squares(
      Seen seen, Function<Seen, float[][]> planes, double blur, boolean[] where, double top) {
    double sum = 0;
    for (float[] plane : planes.apply(seen)) {
      double spread = spread(plane, seen.blurred(plane, blur), where, top);
      sum += spread * spread;
    }
    return sum;
  }

  /** Standard deviation of what is finer, where it is flat. */
  private static double spread(float[] plane, float[] blurred, boolean[] where, double top) {
    int[] counts = new int[BINS];
    int n = 0;
    for (int i = 0; i < plane.length; i++) {
      if (where[i]) {
        counts[(int) Math.min(BINS - 1, Math.abs(plane[i] - blurred[i]) / top * BINS)]++;
        n++;
      }
    }
    int bin = 0;
    int below = counts[0];
    while (2 * below < n) {
      below += counts[++bin];
    }
    double within = counts[bin] == 0 ? 0 : (n / 2.0 - (below - counts[bin])) / counts[bin];
    return (bin + within) / BINS * top / NORMAL;
  }
}
