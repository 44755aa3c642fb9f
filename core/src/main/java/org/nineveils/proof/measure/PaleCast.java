package org.nineveils.proof.measure;

import org.nineveils.region.Regions;

/**
 * The cast that pale cloth and walls have got: distance in a*, b* between the means before and
 * after of tones of chroma 4 to 20 at L* 60 to 95 on the plain photo that are not skin. What is
 * nearer to grey is another measure's. Not judged where the whole picture has lost its colours.
 */
final class PaleCast implements Measure {
  private static final double FAINT = 4;
  private static final double STRONG = 20;
  private static final double DARKEST = 60;
  private static final double LIGHTEST = 95;

  /** Share of the picture below which its pale tones say nothing. */
  private static final double FEWEST = 0.01;

  @Override
  public String id() {
    return "pale-cast";
  }

  @Override
  public String label() {
    return "Cast on pale tones";
  }

  @Override
  public String word() {
    return "pale cast";
  }

  @Override
  public String unit() {
    return "a*b*";
  }

  @Override
  public double limit() {
    return 11;
  }

  @Override
  public Reading of(Pair pair) {
    Seen plain = pair.seen(Pair.Side.PLAIN);
    int[] places = plain.once("pale tones", () -> pale(pair, plain.lab()));
    if (places.length < FEWEST * pair.area().pixels()) {
      return Reading.not("hardly anything pale is on this photo");
    }
    if (Colourless.is(pair)) {
      return Reading.not("the whole picture has hardly any colour of its own left");
    }
    float[][] before = plain.lab("pale tones", places);
    float[][] now = pair.lab(Pair.Side.FINISHED, "pale tones", places);
    return Reading.of(
        Math.hypot(
            InRegion.mean(now[1]) - InRegion.mean(before[1]),
            InRegion.mean(now[2]) - InRegion.mean(before[2])));
  }

  private static int[] pale(Pair pair, float[][] lab) {
    boolean[] skin = pair.members(Regions.SKIN).orElse(new boolean[lab[0].length]);
    return java.util.stream.IntStream.range(0, lab[0].length)
        .filter(i -> !skin[i] && lab[0][i] >= DARKEST && lab[0][i] <= LIGHTEST)
        .filter(
            i -> {
              double chroma = Math.hypot(lab[1][i], lab[2][i]);
              return chroma >= FAINT && chroma <= STRONG;
            })
        .toArray();
  }
}
