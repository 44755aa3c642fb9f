package org.nineveils.proof.measure;

import java.util.List;
import java.util.Optional;
import org.nineveils.region.Regions;

/** The measures that this build knows. */
public final class Measures {
  /** Counted up whenever a measure gives other numbers than before: kept ones are then stale. */
  public static final int BUILD = 4;

  private static final List<Measure> ALL =
      List.of(
          new NewlyBlown(),
          new NewlyBlocked(),
          new ChannelsClipped(),
          new SkinTurned(),
          new SkinChanged(),
          new SkinLightness(),
          new NewNeon(),
          new NeutralCast(),
          new Detail("detail-fur", "Fur detail", Regions.FUR),
          new Detail("detail-lashes", "Lash detail", Regions.LASHES),
          new Detail("detail-skin", "Skin texture", Regions.SKIN),
          new Halo(),
          new NoiseRaised(),
          new Banding(),
          new Contrast(),
          new Strength());

  private Measures() {}

  /** All, in the order of the screens. */
  public static List<Measure> all() {
    return ALL;
  }

  /** The measure of that id. */
  public static Optional<Measure> ofId(String id) {
    return ALL.stream().filter(m -> m.id().equals(id)).findFirst();
  }
}
