package org.nineveils.proof.measure;

import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.filter.Evenly;

/**
 * How different the picture looks: mean CIEDE2000 over every thirty-seventh pixel: some 2 900 of a
 * proof.
 */
final class Strength implements Measure {
  private static final int EVERY = 37;

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
    int[] places = pair.seen(Pair.Side.PLAIN).once("some", () -> some(pair.area().pixels()));
    float[][] before = pair.lab(Pair.Side.PLAIN, "some", places);
    float[][] now = pair.lab(Pair.Side.FINISHED, "some", places);
    double sum = 0;
    for (int i = 0; i < places.length; i++) {
      sum += Ciede2000.between(at(before, i), at(now, i));
    }
    return Reading.of(sum / places.length);
  }

  private static int[] some(int pixels) {
    return Evenly.some(pixels, EVERY);
  }

  private static Lab at(float[][] lab, int i) {
    return new Lab(lab[0][i], lab[1][i], lab[2][i]);
  }
}
