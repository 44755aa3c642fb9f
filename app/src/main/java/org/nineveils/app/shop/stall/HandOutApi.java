package org.nineveils.app.shop.stall;

import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.nineveils.app.making.maker.KeyFile;
import org.nineveils.app.making.maker.MakersMark;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.PlacedPictures;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.wear.fitting.FittingRow;
import org.nineveils.app.wear.fitting.FittingService;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.file.PictureWriter;
import org.nineveils.kit.Combination;
import org.nineveils.kit.StackingRule;
import org.nineveils.name.Names;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.ReleaseWriter;
import org.nineveils.release.code.StallCode;
import org.nineveils.veil.Effect;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Hands out what a photo wears under a code, as a release of one effect. */
@RestController
class HandOutApi {
  private static final byte[] NONE = {};
  private static final String VERSION = "1.0";

  private final FittingService fittings;
  private final PhotoService photos;
  private final Thumbnails thumbnails;
  private final PlacedPictures pictures;
  private final MakersMark mark;
  private final KeyFile key;
  private final StallService stall;

  HandOutApi(
      FittingService fittings,
      PhotoService photos,
      Thumbnails thumbnails,
      PlacedPictures pictures,
      MakersMark mark,
      KeyFile key,
      StallService stall) {
    this.fittings = fittings;
    this.photos = photos;
    this.thumbnails = thumbnails;
    this.pictures = pictures;
    this.mark = mark;
    this.key = key;
    this.stall = stall;
  }

  /**
   * Takes name, note and picks as keeping does, and photo: whether the photo goes along, small,
   * before and after. The maker signs; a photographer at the desk does not.
   */
  @PostMapping("/api/stall/hand-out/{id}")
  Map<String, Object> handOut(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    String name = Names.check("A combination", f.text("name"));
    Combination made = fittings.combination(id, f);
    FittingRow row = fittings.get(id);
    boolean makers = fittings.wardrobe(row.wardrobe()).side() == Side.WALL;
    byte[][] both =
        f.flag("photo", false)
            ? both(photos.get(row.photoId()), made.effect())
            : new byte[][] {NONE, NONE};
    Release release = release(name, made.effect(), both, makers ? mark.get() : "");
    byte[] file = makers ? ReleaseWriter.write(release, key.get()) : ReleaseWriter.write(release);
    ReleaseReader.check(file, name); // what the desk would refuse is never put out
    String letters = stall.combination(release, file).code();
    String code = new StallCode(letters).shown();
    return Json.object(
        "code",
        code,
        "page",
        "/stall/" + letters,
        "said",
        "“%s” is out under %s.".formatted(name, code),
        "details",
        made.said());
  }

  private byte[][] both(Photo photo, Effect effect) {
    return new byte[][] {jpeg(photo, Effect.empty()), jpeg(photo, effect)};
  }

  private byte[] jpeg(Photo photo, Effect effect) {
    int longSide = Release.EffectPart.PICTURE_SIDE;
    return PictureWriter.jpeg(
        thumbnails.render(photo, effect, Map.of(), longSide), Release.EffectPart.PICTURE_QUALITY);
  }

  private Release release(String name, Effect effect, byte[][] both, String makersMark) {
    Map<String, byte[]> placed = new TreeMap<>();
    effect.pictures().forEach(sha -> placed.put(sha, pictures.file(sha)));
    Release.EffectPart part = new Release.EffectPart(name, "1", effect, both[0], both[1]);
    Release.SectionPart section =
        new Release.SectionPart(1, "Combinations", StackingRule.STACK_FREELY, List.of(part));
    Release.KitPart kit = new Release.KitPart(name, "", List.of(section));
    return new Release(name, VERSION, makersMark, "", "", List.of(kit), placed);
  }
}
