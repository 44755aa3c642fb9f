package org.nineveils.proof.measure;

import java.util.Optional;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;

/** What has become of the pixels of a region, one by one. */
final class InRegion {
  private InRegion() {}

  /** What is said of the colours of a region, in L*a*b*. */
  interface Judge {
    /**
     * Says it.
     *
     * @param before L*, a*, b* of its pixels
     * @param now of the same pixels
     */
    Reading of(float[][] before, float[][] now);
  }

  /** What is said of a region; that it is not marked where too few pixels are. */
  static Reading judged(Pair pair, String region, Judge judge) {
    Optional<float[][]> before = colours(pair, Pair.Side.PLAIN, region);
    Optional<float[][]> now = colours(pair, Pair.Side.FINISHED, region);
    return before.isPresent() && now.isPresent() ? judge.of(before.get(), now.get()) : none(region);
  }

  /** The same of its colour, of which nothing is said where the whole picture has lost its own. */
  static Reading judgedInColour(Pair pair, String region, Judge judge) {
    return judged(
        pair,
        region,
        (before, now) -> Colourless.is(pair) ? Colourless.notJudged() : judge.of(before, now));
  }

  /** Distance of the means in a*, b*. */
  static double moved(float[][] before, float[][] now) {
    return Math.hypot(mean(now[1]) - mean(before[1]), mean(now[2]) - mean(before[2]));
  }

  /** Colours of the pixels of a region; empty where too few are marked. */
  static Optional<float[][]> colours(Pair pair, Pair.Side side, String region) {
    return pair.inside(region).map(in -> pair.lab(side, "region " + region, in));
  }

  /**
   * A quantile of the colour differences, ΔE00 (G. Sharma, W. Wu, E. Dalal, 2005).
   *
   * @param share 0…1
   */
  static double changed(float[][] before, float[][] now, double share) {
    double[] all = new double[before[0].length];
    for (int i = 0; i < all.length; i++) {
      all[i] =
          Ciede2000.between(
              new Lab(before[0][i], before[1][i], before[2][i]),
              new Lab(now[0][i], now[1][i], now[2][i]));
    }
    java.util.Arrays.sort(all);
    return all[(int) Math.min(all.length - 1L, Math.round(share * (all.length - 1)))];
  }

  /** Mean chroma. */
  static double chroma(float[][] lab) {
    double sum = 0;
    for (int i = 0; i < lab[0].length; i++) {
      sum += chroma(lab[1][i], lab[2][i]);
    }
    return sum / lab[0].length;
  }

  /** A plain root: colours are far from where {@link Math#hypot} guards, at ten times the cost. */
  static double chroma(double a, double b) {
    return Math.sqrt(a * a + b * b);
  }

  /** Mean of one of L*, a*, b*. */
  static double mean(float[] plane) {
    double sum = 0;
    for (float v : plane) {
      sum += v;
    }
    return sum / plane.length;
  }

  /** Words for a region that is not marked. */
  static Reading none(String region) {
    return Reading.not(
        "no %s marked on this photo".formatted(region + (region.endsWith("s") ? " are" : " is")));
  }
}
