package org.nineveils.app.wear.fitting;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.SavedResults;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.document.StackJson;
import org.nineveils.kit.Fitting;
import org.nineveils.picture.Picture;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** What photos wear, for pages that show many of them. */
@Service
public class PhotoLooks {
  private final FittingStore store;
  private final FittingService fittings;
  private final Wardrobes wardrobes;
  private final PhotoService photos;
  private final Thumbnails thumbnails;

  PhotoLooks(
      FittingStore store,
      FittingService fittings,
      Wardrobes wardrobes,
      PhotoService photos,
      Thumbnails thumbnails) {
    this.store = store;
    this.fittings = fittings;
    this.wardrobes = wardrobes;
    this.photos = photos;
    this.thumbnails = thumbnails;
  }

  /**
   * What a photo wears, of the wardrobe that was changed last.
   *
   * @param fitting its id
   * @param title of the wardrobe
   * @param effects how many it wears
   * @param stamp what stands for the look, see {@link SavedResults}
   */
  public record Look(long fitting, String title, int effects, String stamp) {}

  /** Looks of photos by their id; photos that wear nothing are left out. */
  public Map<Long, Look> of(String prefix) {
    Map<String, String> titles = new HashMap<>();
    wardrobes.choices(prefix).forEach(c -> titles.put(c.wardrobe(), c.title()));
    Map<Long, Look> out = new LinkedHashMap<>();
    for (FittingRow row : store.dressed(prefix)) {
      String title = titles.get(row.wardrobe());
      if (title != null && !out.containsKey(row.photoId())) {
        Fitting worn = fittings.fitting(row);
        String stamp = stamp(row, worn);
        out.put(row.photoId(), new Look(row.id(), title, worn.worn().size(), stamp));
      }
    }
    return out;
  }

  private String stamp(FittingRow row, Fitting worn) {
    return SavedResults.stamp(StackJson.format(worn, fittings.wardrobe(row).effects()));
  }

  /** The photo of a fitting in what it wears, small. */
  Thumbnails.Small small(long fitting) {
    FittingRow row = fittings.get(fitting);
    Photo photo = photos.get(row.photoId());
    Fitting worn = fittings.fitting(row);
    return small(photo, worn, fittings.wardrobe(row, worn).effects());
  }

  /** A photo in a look, small. */
  public Thumbnails.Small small(Photo photo, Fitting look, Function<String, Effect> effects) {
    String stamp = SavedResults.stamp(StackJson.format(look, effects));
    String key = thumbnails.key(photo, "worn " + stamp, "");
    Supplier<Picture> make = () -> thumbnails.worn(photo, look.stack(effects).bundles());
    return new Thumbnails.Small(key, () -> thumbnails.keep(key, make));
  }

  /**
   * The fitting that a photo is gone on with: what it wears; or else of the wardrobe that was used
   * last.
   *
   * @param prefix of the wardrobes of its side
   * @return the id of the fitting; 0 where nothing says which wardrobe
   */
  public long begun(String prefix, long photoId) {
    photos.get(photoId);
    List<WardrobeSource.Choice> choices = wardrobes.choices(prefix);
    if (choices.isEmpty()) {
      throw new NotFound("There is nothing to wear yet.");
    }
    Set<String> here =
        choices.stream().map(WardrobeSource.Choice::wardrobe).collect(Collectors.toSet());
    Optional<FittingRow> dressed =
        store.dressed(prefix).stream()
            .filter(row -> row.photoId() == photoId && here.contains(row.wardrobe()))
            .findFirst();
    if (dressed.isPresent()) {
      return dressed.get().id();
    }
    if (choices.size() == 1) {
      return fittings.of(choices.get(0).wardrobe(), photoId).id();
    }
    return fittings.latest(prefix).map(row -> fittings.of(row.wardrobe(), photoId).id()).orElse(0L);
  }
}
