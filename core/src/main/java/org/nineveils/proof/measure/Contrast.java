package org.nineveils.proof.measure;

import org.nineveils.picture.Quantise;

/**
 * How much of its spread of tones the picture has kept: lumas from the 5th to the 95th percentile.
 */
final class Contrast implements Measure {
  private static final double LOW = 0.05;
  private static final double HIGH = 0.95;
  private static final int LEAST = 8; // codes of 256

  @Override
  public String id() {
    return "contrast";
  }

  @Override
  public String label() {
    return "Contrast";
  }

  @Override
  public String unit() {
    return "%";
  }

  @Override
  public Bad bad() {
    return Bad.LESS;
  }

  @Override
  public double limit() {
    return 45;
  }

  @Override
  public Reading of(Pair pair) {
    Seen plain = pair.seen(Pair.Side.PLAIN);
    double before = plain.once("spread", () -> spread(plain.luma()));
    double now = spread(pair.luma(Pair.Side.FINISHED));
    return before < LEAST
        ? Reading.not("the plain photo has hardly any contrast")
        : Reading.of(100 * now / before);
  }

  private static double spread(float[] luma) {
    int[] counts = new int[256];
    for (float v : luma) {
      counts[Quantise.to8(v)]++;
    }
    return at(counts, HIGH * luma.length) - at(counts, LOW * luma.length);
  }

  private static int at(int[] counts, double place) {
    int below = 0;
    for (int tone = 0; tone < counts.length; tone++) {
      below += counts[tone];
      if (below >= place) {
        return tone;
      }
    }
    return counts.length - 1;
  }
}
