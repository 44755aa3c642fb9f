package org.nineveils.app.wear.looks;

import java.util.function.Supplier;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.SavedResults;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.wear.fitting.Anywhere;
import org.nineveils.document.StackJson;
import org.nineveils.kit.Fitting;
import org.nineveils.picture.Picture;
import org.springframework.stereotype.Service;

/** Looks on a photo of hers, small. */
@Service
public class OwnLookPictures {
  private final Anywhere anywhere;
  private final PhotoService photos;
  private final Thumbnails thumbnails;

  OwnLookPictures(Anywhere anywhere, PhotoService photos, Thumbnails thumbnails) {
    this.anywhere = anywhere;
    this.photos = photos;
    this.thumbnails = thumbnails;
  }

  /** The photo that shows a look: that it was kept from, or else the first. */
  public Photo photo(OwnLook look) {
    return photos.all(Side.DESK).stream()
        .filter(p -> p.id() == look.photoId())
        .findFirst()
        .or(() -> photos.all(Side.DESK).stream().findFirst())
        .orElseThrow(() -> new NotFound("There is no photo at the desk yet."));
  }

  /** That photo, plain or in the look. */
  public Thumbnails.Small small(OwnLook look, boolean after) {
    Photo photo = photo(look);
    if (!after) {
      return thumbnails.plain(photo);
    }
    Fitting worn = look.look();
    String stamp = SavedResults.stamp(StackJson.format(worn, anywhere.effects()));
    String key = thumbnails.key(photo, "worn " + stamp, "");
    Supplier<Picture> make = () -> thumbnails.worn(photo, worn.stack(anywhere.effects()).bundles());
    return new Thumbnails.Small(key, () -> thumbnails.keep(key, make));
  }
}
