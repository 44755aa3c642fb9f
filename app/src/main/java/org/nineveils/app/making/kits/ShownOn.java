package org.nineveils.app.making.kits;

import java.util.List;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** The photos of the wall that kits are shown on, and the one that stands for each kit. */
@Service
public class ShownOn {
  private final ShownStore store;
  private final KitService kits;
  private final PhotoService photos;
  private final Journal journal;

  ShownOn(ShownStore store, KitService kits, PhotoService photos, Journal journal) {
    this.store = store;
    this.kits = kits;
    this.photos = photos;
    this.journal = journal;
  }

  /**
   * Photos that a kit is shown on; while none was chosen, the first of the wall.
   *
   * @return empty only where the wall is
   */
  public List<Photo> photos(long kitId) {
    List<Photo> wall = photos.all(Side.WALL);
    List<Long> chosen = store.photos(kitId);
    return chosen.isEmpty()
        ? wall.stream().limit(1).toList()
        : chosen.stream().flatMap(id -> wall.stream().filter(p -> p.id() == id)).toList();
  }

  /** Id of the photo that stands for a kit; 0 where the wall is empty. */
  public long cover(long kitId) {
    return store
        .cover(kitId)
        .orElseGet(() -> photos(kitId).stream().findFirst().map(Photo::id).orElse(0L));
  }

  /**
   * Shows a kit on a photo, or no longer.
   *
   * @throws Refusal with a sentence if it would be shown on none
   */
  public void show(long kitId, long photoId, boolean on) {
    String kit = kits.kit(kitId).name();
    Photo photo = photos.get(photoId);
    journal.edit(
        KitService.scope(kitId),
        (on ? "show %s on %s" : "show %s no longer on %s").formatted(kit, photo.name()),
        () -> {
          List<Photo> before = photos(kitId);
          if (on) {
            before.forEach(p -> store.add(kitId, p.id())); // the first of the wall was there
            store.add(kitId, photoId);
          } else if (before.size() == 1 && before.get(0).id() == photoId) {
            throw new Refusal("A kit is shown on one photo at least; choose another one first.");
          } else {
            store.remove(kitId, photoId);
          }
          return null;
        });
  }

  /** Lets a photo stand for a kit, which is shown on it from then on. */
  public void setCover(long kitId, long photoId) {
    String kit = kits.kit(kitId).name();
    Photo photo = photos.get(photoId);
    journal.edit(
        KitService.scope(kitId),
        "cover of %s: %s".formatted(kit, photo.name()),
        () -> {
          photos(kitId).forEach(p -> store.add(kitId, p.id()));
          store.add(kitId, photoId);
          store.setCover(kitId, photoId);
          return null;
        });
  }
}
