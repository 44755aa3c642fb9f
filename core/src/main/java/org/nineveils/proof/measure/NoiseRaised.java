package org.nineveils.proof.measure;

import org.nineveils.filter.Gaussian;
import org.nineveils.picture.Picture;

/**
 * Noise that has come up in flat parts: the root of the difference of squares of what lies finer
 * than a blur of 3 ‰ of the long side, after and before, in codes of 256. Its spread is told by the
 * median of its absolute values over 0.6745, which is the standard deviation of noise, and which
 * the edges of a frame or of a light that lies over a flat part do not move (P. Rousseeuw, C.
 * Croux, "Alternatives to the median absolute deviation", Journal of the American Statistical
 * Association 88, 1993). Flat is where on the plain photo a blur of 6 ‰ lies within 2 codes of one
 * of 12 ‰, and where what is finer varies by less than 3 codes, so that weave and fur are not taken
 * for noise.
 */
final class NoiseRaised implements Measure {
  private static final double FINE = 0.003;
  private static final double NEAR = 0.006;
  private static final double FAR = 0.012;
  private static final double FLAT = 2.0 / 255;
  private static final double SMOOTH = 3.0 / 255;

  /** Bins of absolute values from 0 to 1. */
  private static final int BINS = 1 << 16;

  /** Median of the absolute values of a normal distribution, in standard deviations. */
  private static final double NORMAL = 0.6745;

  /** Share of the picture below which its flat parts say nothing. */
  private static final double FEWEST = 0.01;

  @Override
  public String id() {
    return "noise";
  }

  @Override
  public String label() {
    return "Noise";
  }

  @Override
  public String unit() {
    return "codes";
  }

  @Override
  public double limit() {
    return 3;
  }

  @Override
  public Reading of(Pair pair) {
    Seen before = pair.seen(Pair.Side.PLAIN);
    boolean[] flat = before.once("flat parts", () -> flat(before));
    int n = 0;
    for (boolean is : flat) {
      n += is ? 1 : 0;
    }
    if (n < FEWEST * flat.length) {
      return Reading.not("hardly anything flat is on this photo");
    }
    double was = before.once("noise", () -> spread(before, flat));
    double is = spread(pair.seen(Pair.Side.FINISHED), flat);
    return Reading.of(255 * Math.sqrt(Math.max(0, is * is - was * was)));
  }

  private static boolean[] flat(Seen plain) {
    float[] near = plain.blurred(NEAR);
    float[] far = plain.blurred(FAR);
    Picture p = plain.picture();
    float[] varies = Gaussian.whole(squares(plain), p.area(), FAR * p.longSide());
    boolean[] flat = new boolean[near.length];
    for (int i = 0; i < flat.length; i++) {
      flat[i] = Math.abs(near[i] - far[i]) < FLAT && varies[i] < SMOOTH * SMOOTH;
    }
    return flat;
  }

  /** Standard deviation of what is finer, where it is flat. */
  private static double spread(Seen seen, boolean[] where) {
    float[] luma = seen.luma();
    float[] blurred = seen.blurred(FINE);
    int[] counts = new int[BINS];
    int n = 0;
    for (int i = 0; i < luma.length; i++) {
      if (where[i]) {
        counts[(int) Math.min(BINS - 1, Math.abs(luma[i] - blurred[i]) * BINS)]++;
        n++;
      }
    }
    int bin = 0;
    int below = counts[0];
    while (2 * below < n) {
      below += counts[++bin];
    }
    double within = counts[bin] == 0 ? 0 : (n / 2.0 - (below - counts[bin])) / counts[bin];
    return (bin + within) / BINS / NORMAL;
  }

  /** What is finer, squared. */
  private static float[] squares(Seen seen) {
    float[] luma = seen.luma();
    float[] blurred = seen.blurred(FINE);
    float[] out = new float[luma.length];
    for (int i = 0; i < out.length; i++) {
      float d = luma[i] - blurred[i];
      out[i] = d * d;
    }
    return out;
  }
}
