package org.nineveils.proof.measure;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.List;
import java.util.Optional;
import java.util.zip.CRC32;
import org.nineveils.refusal.Ids;
import org.nineveils.region.Regions;

/** The measures that this build knows. */
public final class Measures {
  /**
   * Another one whenever a measure gives other numbers than before: kept ones are then stale. It is
   * made of the numbers that measures give on a held set of proofs, which lie beside this class and
   * which a test compares with those of today ({@code MadeSetTest}).
   */
  public static final String BUILD = build();

  public static final Measure BLOWN = new NewlyBlown();
  public static final Measure BLOCKED = new NewlyBlocked();

  private static final List<Measure> ALL =
      List.of(
          BLOWN,
          BLOCKED,
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

  private static String build() {
    try (InputStream held = Measures.class.getResourceAsStream("held.txt")) {
      CRC32 crc = new CRC32();
      crc.update(held.readAllBytes());
      return Long.toHexString(crc.getValue());
    } catch (IOException e) {
      throw new UncheckedIOException(e);
    }
  }

  /** All, in the order of the screens. */
  public static List<Measure> all() {
    return ALL;
  }

  /** The measure of that id. */
  public static Optional<Measure> ofId(String id) {
    return Ids.find(ALL, Measure::id, id);
  }
}
