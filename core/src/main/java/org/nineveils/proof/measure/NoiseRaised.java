package org.nineveils.proof.measure;

import org.nineveils.filter.Gaussian;

/**
 * Noise that has come up in flat parts: the root of the difference of squares of what lies finer
 * than a blur of 2 ‰ of the long side, after and before, in codes of 256. Flat is where on the
 * plain photo a blur of 4 ‰ lies within 2 codes of one of 12 ‰, and where what is finer varies by
 * less than 3 codes, so that weave and fur are not taken for noise.
 */
final class NoiseRaised implements Measure {
  private static final double FINE = 0.002;
  private static final double NEAR = 0.004;
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
    float[] before = pair.luma(Pair.Side.PLAIN);
    float[] near = Gaussian.whole(before, pair.area(), pair.pixels(NEAR));
    float[] far = Gaussian.whole(before, pair.area(), pair.pixels(FAR));
    float[] varies = Gaussian.whole(squares(pair, Pair.Side.PLAIN), pair.area(), pair.pixels(FAR));
    boolean[] flat = new boolean[before.length];
    int n = 0;
    for (int i = 0; i < flat.length; i++) {
      flat[i] = Math.abs(near[i] - far[i]) < FLAT && varies[i] < SMOOTH * SMOOTH;
      n += flat[i] ? 1 : 0;
    }
    if (n < FEWEST * flat.length) {
      return Reading.not("hardly anything flat is on this photo");
    }
    double was = fine(pair, Pair.Side.PLAIN, flat);
    double is = fine(pair, Pair.Side.FINISHED, flat);
    return Reading.of(255 * Math.sqrt(Math.max(0, is - was)));
  }

  /** Mean square of what is finer, over the flat parts. */
  private static double fine(Pair pair, Pair.Side side, boolean[] flat) {
    float[] squares = squares(pair, side);
    double sum = 0;
    int n = 0;
    for (int i = 0; i < squares.length; i++) {
      if (flat[i]) {
        sum += squares[i];
        n++;
      }
    }
    return sum / n;
  }

  /** What is finer, squared. */
  private static float[] squares(Pair pair, Pair.Side side) {
    float[] luma = pair.luma(side);
    float[] out = Gaussian.whole(luma, pair.area(), pair.pixels(FINE));
    for (int i = 0; i < out.length; i++) {
      float d = luma[i] - out[i];
      out[i] = d * d;
    }
    return out;
  }
}
