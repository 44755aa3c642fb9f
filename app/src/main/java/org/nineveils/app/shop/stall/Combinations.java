package org.nineveils.app.shop.stall;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.render.PlacedPictures;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.file.PictureWriter;
import org.nineveils.kit.StackingRule;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.ReleaseWriter;
import org.nineveils.release.code.StallCode;
import org.nineveils.release.signing.MakersKey;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** Puts one combination out under a code, as a release of one effect. */
@Service
public class Combinations {
  private static final byte[] NONE = {};
  private static final String VERSION = "1.0";

  private final Thumbnails thumbnails;
  private final PlacedPictures pictures;
  private final StallService stall;

  Combinations(Thumbnails thumbnails, PlacedPictures pictures, StallService stall) {
    this.thumbnails = thumbnails;
    this.pictures = pictures;
    this.stall = stall;
  }

  /**
   * What goes out.
   *
   * @param photo that goes along before and after, small; empty for none
   * @param makersMark empty for a photographer's
   * @param mayHandOut whether those who fetch it may hand looks with it out in turn
   */
  public record Out(
      String name,
      Effect effect,
      Optional<Photo> photo,
      String makersMark,
      String licence,
      String notes,
      boolean mayHandOut) {}

  /**
   * Puts it out.
   *
   * @param key of the maker; empty for a photographer, who does not sign
   * @return its code
   */
  public StallCode putOut(Out out, Optional<MakersKey> key) {
    Release release = release(out);
    byte[] file =
        key.map(k -> ReleaseWriter.write(release, k)).orElseGet(() -> ReleaseWriter.write(release));
    ReleaseReader.check(file, out.name()); // what the desk would refuse is never put out
    return new StallCode(stall.combination(release, file).code());
  }

  private Release release(Out out) {
    Map<String, byte[]> placed = new TreeMap<>();
    out.effect().pictures().forEach(sha -> placed.put(sha, pictures.file(sha)));
    Release.EffectPart part =
        new Release.EffectPart(
            out.name(),
            "1",
            out.effect(),
            out.photo().map(p -> jpeg(p, Effect.empty())).orElse(NONE),
            out.photo().map(p -> jpeg(p, out.effect())).orElse(NONE));
    Release.SectionPart section =
        new Release.SectionPart(1, "Combinations", StackingRule.STACK_FREELY, List.of(part));
    Release.KitPart kit = new Release.KitPart(out.name(), "", List.of(section));
    return new Release(
            out.name(), VERSION, out.makersMark(), out.licence(), out.notes(), List.of(kit), placed)
        .withMayHandOut(out.mayHandOut());
  }

  private byte[] jpeg(Photo photo, Effect effect) {
    int longSide = Release.EffectPart.PICTURE_SIDE;
    return PictureWriter.jpeg(
        thumbnails.render(photo, effect, Map.of(), longSide), Release.EffectPart.PICTURE_QUALITY);
  }
}
