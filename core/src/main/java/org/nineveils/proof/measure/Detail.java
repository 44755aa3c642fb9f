package org.nineveils.proof.measure;

import java.util.Optional;

/**
 * How much of its detail a region has kept: local variation after over before, as the geometric
 * mean over three scales. Variation is the root mean square of luma between two blurs, of standard
 * deviations 0, 1½, 3 and 6 ‰ of the long side.
 */
final class Detail implements Measure {
  private static final double[] SCALES = {0.0015, 0.003, 0.006};

  /** Root mean square, encoded, below which a region has no detail to keep: half a code of 256. */
  private static final double NOTHING = 0.5 / 255;

  private final String id;
  private final String label;
  private final String region;

  Detail(String id, String label, String region) {
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
    return 80;
  }

  @Override
  public Reading of(Pair pair) {
    Optional<boolean[]> in = pair.members(region);
    if (in.isEmpty()) {
      return Reading.not(
          "no %s marked on this photo".formatted(region + (region.endsWith("s") ? " are" : " is")));
    }
    double[] before = variations(pair.seen(Pair.Side.PLAIN), in.get());
    double[] now = variations(pair.seen(Pair.Side.FINISHED), in.get());
    double product = 1;
    for (int k = 0; k < SCALES.length; k++) {
      if (before[k] < NOTHING) {
        return Reading.not("there is hardly any detail to keep");
      }
      product *= now[k] / before[k];
    }
    return Reading.of(100 * Math.cbrt(product));
  }

  private double[] variations(Seen seen, boolean[] in) {
    return seen.once("variations of " + region, () -> bands(seen, in));
  }

  /** Root mean squares of the bands, from the finest. */
  private static double[] bands(Seen seen, boolean[] in) {
    double[] out = new double[SCALES.length];
    float[] finer = seen.luma();
    for (int k = 0; k < SCALES.length; k++) {
      float[] coarser = seen.blurred(SCALES[k]);
      double sum = 0;
      int n = 0;
      for (int i = 0; i < finer.length; i++) {
        if (in[i]) {
          double d = finer[i] - coarser[i];
          sum += d * d;
          n++;
        }
      }
      out[k] = Math.sqrt(sum / n);
      finer = coarser;
    }
    return out;
  }
}
