package org.nineveils.proof.measure;

import java.util.List;
import java.util.Optional;
import org.nineveils.region.Regions;

/** The measures that this build knows. */
public final class Measures {
  /** Counted up whenever a measure gives other numbers than before: kept ones are then stale. */
  public static final int BUILD = 5;

  private static final List<Measure> ALL =
      List.of(
          new NewlyBlown(),
          new NewlyBlocked(),
          new ChannelsClipped(),
          new SkinTurned(),
          new SkinChanged(),
          new SkinLightness(),
          new SkinChroma(),
          new EyesChanged(),
          new WhitesCast(),
          new ColourKept(),
          new RegionColour("lips", "Lips’ colour", "lips", Regions.LIPS, 13),
          new RegionColour("fur-colour", "Fur’s colour", "fur", Regions.FUR, 9),
          new NewNeon(),
          ToneCast.neutral(),
          ToneCast.pale(),
          new Detail("detail-fur", "Fur detail", Regions.FUR, 75),
          new Detail("detail-lashes", "Lash detail", Regions.LASHES, 75),
          new Detail("detail-skin", "Skin texture", Regions.SKIN, 72),
          new Overdone(),
          new Halo(),
          new NoiseRaised(),
          new ColourNoise(),
          new Banding(),
          new TornEdges(),
          new Contrast(),
          new BlacksLifted(),
          new Corners(),
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
