package org.nineveils.proof.measure;

/** Noise in luma that has come up in flat parts, codes of 256; see {@link FineNoise}. */
final class NoiseRaised implements Measure {
  @Override
  public String id() {
    return "noise";
  }

  @Override
  public String label() {
    return "Noise";
  }

  @Override
  public String unit() {
    return "codes";
  }

  @Override
  public double limit() {
    return 6;
  }

  @Override
  public Reading of(Pair pair) {
    Reading found = FineNoise.raised(pair, id(), seen -> new float[][] {seen.luma()}, 1);
    return found.isJudged() ? Reading.of(255 * found.value()) : found;
  }
}
