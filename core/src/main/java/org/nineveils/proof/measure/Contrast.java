package org.nineveils.proof.measure;

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
    double before = plain.once("spread", () -> spread(plain.codes()));
    double now = spread(pair.seen(Pair.Side.FINISHED).codes());
    return before < LEAST
        ? Reading.not("the plain photo has hardly any contrast")
        : Reading.of(100 * now / before);
  }

  private static double spread(int[] codes) {
    int[] counts = new int[256];
    for (int code : codes) {
      counts[code]++;
    }
    return at(counts, HIGH * codes.length) - at(counts, LOW * codes.length);
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
