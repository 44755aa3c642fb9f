package org.nineveils.proof.measure;

import java.util.Optional;

/**
 * How far the colour of a region has moved: distance of the means in a*, b*. Not judged where the
 * whole picture has lost its colours.
 */
final class RegionColour implements Measure {
  private final String id;
  private final String label;
  private final String word;
  private final String region;
  private final double limit;

  RegionColour(String id, String label, String word, String region, double limit) {
    this.id = id;
    this.label = label;
    this.word = word;
    this.region = region;
    this.limit = limit;
  }

  @Override
  public String id() {
    return id;
  }

  @Override
  public String label() {
    return label;
  }

  @Override
  public String word() {
    return word;
  }

  @Override
  public String unit() {
    return "a*b*";
  }

  @Override
  public String region() {
    return region;
  }

  @Override
  public double limit() {
    return limit;
  }

  @Override
  public Reading of(Pair pair) {
    Optional<float[][]> before = InRegion.colours(pair, Pair.Side.PLAIN, region);
    Optional<float[][]> now = InRegion.colours(pair, Pair.Side.FINISHED, region);
    if (before.isEmpty() || now.isEmpty()) {
      return InRegion.none(region);
    }
    if (Colourless.is(pair)) {
      return Reading.not("the whole picture has hardly any colour of its own left");
    }
    return Reading.of(
        Math.hypot(
            InRegion.mean(now.get()[1]) - InRegion.mean(before.get()[1]),
            InRegion.mean(now.get()[2]) - InRegion.mean(before.get()[2])));
  }
}
