package org.nineveils.proof.measure;

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
    return InRegion.judgedInColour(
        pair, region, (before, now) -> Reading.of(InRegion.moved(before, now)));
  }
}
