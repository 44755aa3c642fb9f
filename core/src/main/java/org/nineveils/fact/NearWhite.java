package org.nineveils.fact;

import java.util.OptionalDouble;
import org.nineveils.picture.Picture;

/** Share of pixels of which all channels lie in the topmost eight of 256 codes, 0…1. */
final class NearWhite implements Fact {
  private static final float WHITE = 247.5f / 255;

  @Override
  public String id() {
    return "near-white";
  }

  @Override
  public String label() {
    return "Near white";
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
      n += Math.min(p.r()[i], Math.min(p.g()[i], p.b()[i])) >= WHITE ? 1 : 0;
    }
    return OptionalDouble.of(n / (double) p.r().length);
  }
}
