package org.nineveils.app.wear.looks;

import java.util.List;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.wear.fitting.Anywhere;
import org.nineveils.app.wear.fitting.PhotoLooks;
import org.springframework.stereotype.Service;

/** Looks on photos of hers, small. */
@Service
public class OwnLookPictures {
  private final Anywhere anywhere;
  private final PhotoService photos;
  private final PhotoLooks worn;

  OwnLookPictures(Anywhere anywhere, PhotoService photos, PhotoLooks worn) {
    this.anywhere = anywhere;
    this.photos = photos;
    this.worn = worn;
  }

  /** The photo that shows a look: that it was kept from, or else the first. */
  public Photo photo(OwnLook look) {
    List<Photo> all = photos.all(Side.DESK);
    return all.stream()
        .filter(p -> p.id() == look.photoId())
        .findFirst()
        .or(() -> all.stream().findFirst())
        .orElseThrow(() -> new NotFound("There is no photo at the desk yet."));
  }

  /** A photo in a look. */
  Thumbnails.Small small(OwnLook look, long photoId) {
    return worn.small(photos.get(photoId), look.look(), anywhere.effects());
  }
}
