package org.nineveils.proof.measure;

import org.nineveils.region.Regions;

/**
 * How much stronger or paler skin has become: difference of mean chroma in L*a*b*. Not judged where
 * the whole picture has lost its colours.
 */
final class SkinChroma implements Measure {
  @Override
  public String id() {
    return "skin-chroma";
  }

  @Override
  public String label() {
    return "Skin stronger or paler";
  }

  @Override
  public String word() {
    return "skin chroma";
  }

  @Override
  public String unit() {
    return "C*";
  }

  @Override
  public String region() {
    return Regions.SKIN;
  }

  @Override
  public double limit() {
    return 11;
  }

  @Override
  public Reading of(Pair pair) {
    return InRegion.judgedInColour(
        pair,
        region(),
        (before, now) -> Reading.of(Math.abs(InRegion.chroma(now) - InRegion.chroma(before))));
  }
}
