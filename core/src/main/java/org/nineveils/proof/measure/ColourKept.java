package org.nineveils.proof.measure;

import java.util.List;
import java.util.Optional;
import org.nineveils.region.Regions;

/**
 * How much of its colour has been kept by the one of skin, eyes, lips and fur that has kept least:
 * mean chroma in L*a*b*, now over before. What has hardly any before does not count; nothing is
 * judged where the whole picture has lost its colours.
 */
final class ColourKept implements Measure {
  private static final List<String> OF =
      List.of(Regions.SKIN, Regions.EYES, Regions.LIPS, Regions.FUR);

  /** Mean chroma below which there is no colour to lose. */
  private static final double FAINT = 5;

  @Override
  public String id() {
    return "colour-kept";
  }

  @Override
  public String label() {
    return "Colour kept";
  }

  @Override
  public String word() {
    return "colour";
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
    double least = -1;
    for (String region : OF) {
      Optional<float[][]> before = InRegion.colours(pair, Pair.Side.PLAIN, region);
      Optional<float[][]> now = InRegion.colours(pair, Pair.Side.FINISHED, region);
      if (before.isPresent() && now.isPresent()) {
        double had = InRegion.chroma(before.get());
        double kept = 100 * Math.min(1, InRegion.chroma(now.get()) / had);
        least = had < FAINT ? least : least < 0 ? kept : Math.min(least, kept);
      }
    }
    if (least < 0) {
      return Reading.not("no skin, eyes, lips or fur with a colour are marked on this photo");
    }
    return Colourless.is(pair) ? Colourless.notJudged() : Reading.of(least);
  }
}
