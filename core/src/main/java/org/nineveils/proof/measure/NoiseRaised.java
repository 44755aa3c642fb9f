package org.nineveils.proof.measure;

import org.nineveils.filter.Gaussian;
import org.nineveils.picture.Picture;

/**
 * Noise that has come up in flat parts: the root of the difference of squares of what lies finer
 * than a blur of 3 ‰ of the long side, after and before, in codes of 256. Flat is where on the
 * plain photo a blur of 6 ‰ lies within 2 codes of one of 12 ‰, and where what is finer varies by
 * less than 3 codes, so that weave and fur are not taken for noise.
 */
final class NoiseRaised implements Measure {
  private static final double FINE = 0.003;
  private static final double NEAR = 0.006;
  private static final double FAR = 0.012;
  private static final double FLAT = 2.0 / 255;
  private static final double SMOOTH = 3.0 / 255;

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
    double was = before.once("noise", () -> mean(squares(before), flat));
    double is = mean(squares(pair.seen(Pair.Side.FINISHED)), flat);
    return Reading.of(255 * Math.sqrt(Math.max(0, is - was)));
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

  private static double mean(float[] values, boolean[] where) {
    double sum = 0;
    int n = 0;
    for (int i = 0; i < values.length; i++) {
      if (where[i]) {
        sum += values[i];
        n++;
      }
    }
    return sum / n;
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
