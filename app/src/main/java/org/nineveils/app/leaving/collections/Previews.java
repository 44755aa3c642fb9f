package org.nineveils.app.leaving.collections;

import java.util.Optional;
import org.nineveils.app.making.bench.BenchService;
import org.nineveils.file.PictureWriter;
import org.nineveils.picture.Picture;
import org.nineveils.release.Release;
import org.springframework.stereotype.Component;

/**
 * Pictures before and after that go into a release, as they are packed and as a buyer sees them.
 */
@Component
public class Previews {
  public static final int LONG_SIDE = Release.EffectPart.PICTURE_SIDE;
  private static final int COVER_LONG_SIDE = 1200;
  private static final byte[] NONE = {};

  private final BenchService bench;

  Previews(BenchService bench) {
    this.bench = bench;
  }

  /** Of an effect: JPEG before and after; both empty where there is no photo. */
  public byte[][] of(BenchService.Shown shown) {
    return both(shown, LONG_SIDE);
  }

  /** Of the cover; both empty where there is none. */
  public byte[][] cover(BenchService.Shown shown) {
    return shown == null ? new byte[][] {NONE, NONE} : both(shown, COVER_LONG_SIDE);
  }

  private byte[][] both(BenchService.Shown shown, int longSide) {
    Optional<Picture[]> both = bench.beforeAndAfter(shown, longSide);
    return new byte[][] {
      both.map(p -> PictureWriter.jpeg(p[0], Release.EffectPart.PICTURE_QUALITY)).orElse(NONE),
      both.map(p -> PictureWriter.jpeg(p[1], Release.EffectPart.PICTURE_QUALITY)).orElse(NONE)
    };
  }
}
