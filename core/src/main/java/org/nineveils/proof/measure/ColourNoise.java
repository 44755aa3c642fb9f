package org.nineveils.proof.measure;

/** Noise in a* and b* that has come up in flat parts; see {@link FineNoise}. */
final class ColourNoise implements Measure {
  private static final double TOP = 100;

  @Override
  public String id() {
    return "colour-noise";
  }

  @Override
  public String label() {
    return "Colour noise";
  }

  @Override
  public String unit() {
    return "a*b*";
  }

  @Override
  public double limit() {
    return 2;
  }

  @Override
  public Reading of(Pair pair) {
    return FineNoise.raised(pair, id(), seen -> new float[][] {seen.lab()[1], seen.lab()[2]}, TOP);
  }
}
