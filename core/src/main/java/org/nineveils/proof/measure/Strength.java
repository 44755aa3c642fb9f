package org.nineveils.proof.measure;

import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;

/**
 * How different the picture looks: mean CIEDE2000 over every nineteenth pixel: some 5 600 of a
 * proof.
 */
final class Strength implements Measure {
  /** Odd, and no divisor of common widths, so that no column is left out. */
  private static final int EVERY = 19;

  @Override
  public String id() {
    return "strength";
  }

  @Override
  public String label() {
    return "Strength";
  }

  @Override
  public String unit() {
    return "ΔE00";
  }

  @Override
  public double limit() {
    return 25;
  }

  @Override
  public Reading of(Pair pair) {
    float[][] before = pair.lab(Pair.Side.PLAIN);
    float[][] now = pair.lab(Pair.Side.FINISHED);
    double sum = 0;
    int n = 0;
    for (int i = 0; i < before[0].length; i += EVERY) {
      sum += Ciede2000.between(at(before, i), at(now, i));
      n++;
    }
    return Reading.of(sum / n);
  }

  private static Lab at(float[][] lab, int i) {
    return new Lab(lab[0][i], lab[1][i], lab[2][i]);
  }
}
