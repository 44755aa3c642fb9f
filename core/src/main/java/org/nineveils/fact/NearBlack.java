package org.nineveils.fact;

import java.util.OptionalDouble;
import org.nineveils.picture.Picture;

/** Share of pixels of which all channels lie in the lowest eight of 256 codes, 0…1. */
final class NearBlack implements Fact {
  private static final float BLACK = 7.5f / 255;

  @Override
  public String id() {
    return "near-black";
  }

  @Override
  public String label() {
    return "Near black";
  }

  @Override
  public String unit() {
    return "share";
  }

  @Override
  public OptionalDouble of(Ground ground) {
    Picture p = ground.small();
    int n = 0;
    for (int i = 0; i < p.r().length; i++) {
      n += Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i])) <= BLACK ? 1 : 0;
    }
    return OptionalDouble.of(n / (double) p.r().length);
  }
}
