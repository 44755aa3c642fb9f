package org.nineveils.app.shop.stall;

import java.util.Map;
import java.util.Optional;
import org.nineveils.app.making.maker.KeyFile;
import org.nineveils.app.making.maker.MakersMark;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.wear.fitting.FittingRow;
import org.nineveils.app.wear.fitting.FittingService;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Combination;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.code.StallCode;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** Hands out what a photo of the maker's wears under a code. */
@RestController
class HandOutApi {
  private final FittingService fittings;
  private final PhotoService photos;
  private final MakersMark mark;
  private final KeyFile key;
  private final Combinations combinations;

  HandOutApi(
      FittingService fittings,
      PhotoService photos,
      MakersMark mark,
      KeyFile key,
      Combinations combinations) {
    this.fittings = fittings;
    this.photos = photos;
    this.mark = mark;
    this.key = key;
    this.combinations = combinations;
  }

  /**
   * Takes name, note and picks as keeping does, and photo: whether the photo goes along, small,
   * before and after. The maker signs.
   */
  @PostMapping("/api/stall/hand-out/{id}")
  Map<String, Object> handOut(@PathVariable("id") long id, @RequestBody String body) {
    Fields f = Json.read(body, "The request");
    String name = Names.check("A combination", f.text("name"));
    FittingRow row = fittings.get(id);
    if (fittings.wardrobe(row.wardrobe()).side() != Side.WALL) {
      throw new Refusal(
          "These effects are of other makers: keep what is worn as a look, and hand out that look at the desk.");
    }
    Combination made = fittings.combination(id, f);
    Optional<Photo> photo =
        f.flag("photo", false) ? Optional.of(photos.get(row.photoId())) : Optional.empty();
    StallCode code =
        combinations.putOut(
            new Combinations.Out(name, made.effect(), photo, mark.get(), "", "", false),
            Optional.of(key.get()));
    return Json.object(
        "code",
        code.shown(),
        "page",
        "/stall/" + code.letters(),
        "said",
        "“%s” is out under %s.".formatted(name, code.shown()),
        "details",
        made.said());
  }
}
