package org.nineveils.proof.measure;

import org.nineveils.picture.Quantise;

/**
 * Steps where tones went over smoothly: neighbours in a row whose lumas were at most one code of
 * 256 apart and are three or more apart now, per cent of all such neighbours.
 */
final class Banding implements Measure {
  private static final int SMOOTH = 1;
  private static final int STEP = 3;

  @Override
  public String id() {
    return "banding";
  }

  @Override
  public String label() {
    return "Banding";
  }

  @Override
  public String unit() {
    return "%";
  }

  @Override
  public double limit() {
    return 6;
  }

  @Override
  public Reading of(Pair pair) {
    float[] before = pair.luma(Pair.Side.PLAIN);
    float[] now = pair.luma(Pair.Side.FINISHED);
    int width = pair.area().width();
    int smooth = 0;
    int steps = 0;
    for (int i = 0; i + 1 < before.length; i++) {
      boolean sameRow = (i + 1) % width != 0;
      if (sameRow && apart(before, i) <= SMOOTH) {
        smooth++;
        steps += apart(now, i) >= STEP ? 1 : 0;
      }
    }
    return smooth < Pair.FEWEST
        ? Reading.not("hardly anything is smooth on this photo")
        : Reading.of(100.0 * steps / smooth);
  }

  private static int apart(float[] luma, int i) {
    return Math.abs(Quantise.to8(luma[i + 1]) - Quantise.to8(luma[i]));
  }
}
