package org.nineveils.proof.measure;

import java.util.List;
import org.nineveils.region.Regions;

/**
 * Texture that has become harsh: of skin, fur and lashes the one whose finest variation has grown
 * most, per cent of what it was; see {@link Bands}. What a contrast curve adds counts with it.
 */
final class Overdone implements Measure {
  private static final List<String> OF = List.of(Regions.SKIN, Regions.FUR, Regions.LASHES);

  /** Root mean square, encoded, that grain and weave have anyway: three codes of 256. */
  private static final double GRAIN = 3.0 / 255;

  @Override
  public String id() {
    return "overdone";
  }

  @Override
  public String label() {
    return "Harsh texture";
  }

  @Override
  public String word() {
    return "harsh";
  }

  @Override
  public String unit() {
    return "% more";
  }

  @Override
  public double limit() {
    return 80;
  }

  @Override
  public Reading of(Pair pair) {
    double most = -1;
    for (String region : OF) {
      if (pair.has(region)) {
        double[] before = Bands.of(pair, true, region, view -> view.members(region));
        double[] now = Bands.of(pair, false, region, view -> view.members(region));
        for (int k = 0; k < Math.min(2, before.length); k++) {
          double grown = (now[k] - before[k]) / Math.max(before[k], GRAIN);
          most = Math.max(most, 100 * Math.max(0, grown));
        }
      }
    }
    return most < 0
        ? Reading.not("no skin, fur or lashes are marked on this photo")
        : Reading.of(most);
  }
}
