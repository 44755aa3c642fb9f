package org.nineveils.proof.measure;

import org.nineveils.filter.Evenly;

/**
 * Whether the whole picture has lost its own colours, as a black-and-white or a toned one has: then
 * nothing is said of the colour of a part. A part that went grey while the rest kept its colours is
 * judged. What counts is how far colours lie from the mean colour of their lightness, in a*, b*: a
 * tone over all has one colour for each lightness.
 */
final class Colourless {
  /** Share of it that is left on average. */
  private static final double LEFT = 0.3;

  /** Below this the colours of a photo cannot be told from a tone over all of it. */
  private static final double FAINT = 1;

  /** Mean chroma of a photo that is nearly grey as it is. */
  private static final double GREY = 8;

  private static final int LIGHTNESSES = 20;

  /** Every so many pixels are looked at. */
  private static final int EVERY = 11;

  private Colourless() {}

  /** What a measure of colour says of such a picture. */
  static Reading notJudged() {
    return Reading.not("the whole picture has hardly any colour of its own left");
  }

  static boolean is(Pair pair) {
    Seen plain = pair.seen(Pair.Side.PLAIN);
    Seen finished = pair.seen(Pair.Side.FINISHED);
    return finished.once(
        "colourless",
        () -> {
          double had = plain.once("colours of its own", () -> own(pair, plain.lab()));
          double all = plain.once("colours", () -> chroma(pair, plain.lab()));
          boolean left = own(pair, finished.lab()) <= LEFT * had;
          boolean grey = had > 0 && all < GREY && chroma(pair, finished.lab()) <= LEFT * all;
          return had >= FAINT ? left : grey;
        });
  }

  private static double chroma(Pair pair, float[][] lab) {
    double sum = 0;
    int n = 0;
    for (int i : Evenly.some(lab[0].length, EVERY)) {
      if (!pair.isFramed(i)) {
        sum += InRegion.chroma(lab[1][i], lab[2][i]);
        n++;
      }
    }
    return n == 0 ? 0 : sum / n;
  }

  /** Mean distance from the mean colour of each lightness. */
  private static double own(Pair pair, float[][] lab) {
    double[][] sums = new double[LIGHTNESSES][3];
    for (int i : Evenly.some(lab[0].length, EVERY)) {
      if (!pair.isFramed(i)) {
        double[] sum = sums[bin(lab[0][i])];
        sum[0]++;
        sum[1] += lab[1][i];
        sum[2] += lab[2][i];
      }
    }
    double apart = 0;
    int n = 0;
    for (int i : Evenly.some(lab[0].length, EVERY)) {
      if (!pair.isFramed(i)) {
        double[] sum = sums[bin(lab[0][i])];
        apart += InRegion.chroma(lab[1][i] - sum[1] / sum[0], lab[2][i] - sum[2] / sum[0]);
        n++;
      }
    }
    return n == 0 ? 0 : apart / n;
  }

  private static int bin(float l) {
    return (int) Math.max(0, Math.min(LIGHTNESSES - 1, l / 100 * LIGHTNESSES));
  }
}
