package org.nineveils.proof.measure;

/**
 * How much of its detail a region has kept: local variation after over before, as the geometric
 * mean over three scales; see {@link Bands}.
 */
final class Detail implements Measure {
  /** Root mean square, encoded, below which a region has no detail to keep: half a code of 256. */
  private static final double NOTHING = 0.5 / 255;

  private final String id;
  private final String label;
  private final String region;
  private final double limit;

  Detail(String id, String label, String region, double limit) {
    this.limit = limit;
    this.id = id;
    this.label = label;
    this.region = region;
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
  public String unit() {
    return "%";
  }

  @Override
  public String region() {
    return region;
  }

  @Override
  public Bad bad() {
    return Bad.LESS;
  }

  @Override
  public double limit() {
    return limit;
  }

  @Override
  public Reading of(Pair pair) {
    if (!pair.has(region)) {
      return InRegion.none(region);
    }
    double[] before = Bands.of(pair, true, region, view -> view.members(region));
    double[] now = Bands.of(pair, false, region, view -> view.members(region));
    double product = 1;
    for (int k = 0; k < before.length; k++) {
      if (before[k] < NOTHING) {
        return Reading.not("there is hardly any detail to keep");
      }
      product *= now[k] / before[k];
    }
    return before.length == 0
        ? Reading.not("there is too little of it to see detail in")
        : Reading.of(100 * Math.cbrt(product));
  }
}
