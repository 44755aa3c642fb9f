package org.nineveils.proof.measure;

import java.util.stream.IntStream;

/**
 * The cast that near-neutral tones have got: distance in a*, b* between their means before and
 * after. Near-neutral is chroma below 5 between L* 20 and 95 on the plain photo.
 */
final class NeutralCast implements Measure {
  private static final double NEUTRAL = 5;
  private static final double DARKEST = 20;
  private static final double LIGHTEST = 95;

  /** Share of the picture below which its neutrals say nothing. */
  private static final double FEWEST = 0.01;

  @Override
  public String id() {
    return "cast";
  }

  @Override
  public String label() {
    return "Neutral cast";
  }

  @Override
  public String unit() {
    return "a*b*";
  }

  @Override
  public double limit() {
    return 12;
  }

  @Override
  public Reading of(Pair pair) {
    Seen plain = pair.seen(Pair.Side.PLAIN);
    int[] places = plain.once("neutrals", () -> neutrals(plain.lab()));
    if (places.length < FEWEST * pair.area().pixels()) {
      return Reading.not("hardly anything neutral is on this photo");
    }
    if (Colourless.is(pair)) {
      return Reading.not("the whole picture has hardly any colour of its own left");
    }
    float[][] before = plain.lab("neutrals", places);
    float[][] now = pair.lab(Pair.Side.FINISHED, "neutrals", places);
    return Reading.of(Math.hypot(moved(before[1], now[1]), moved(before[2], now[2])));
  }

  private static int[] neutrals(float[][] lab) {
    return IntStream.range(0, lab[0].length)
        .filter(i -> lab[1][i] * lab[1][i] + lab[2][i] * lab[2][i] < NEUTRAL * NEUTRAL)
        .filter(i -> lab[0][i] >= DARKEST && lab[0][i] <= LIGHTEST)
        .toArray();
  }

  private static double moved(float[] before, float[] now) {
    double sum = 0;
    for (int i = 0; i < now.length; i++) {
      sum += now[i] - before[i];
    }
    return sum / now.length;
  }
}
