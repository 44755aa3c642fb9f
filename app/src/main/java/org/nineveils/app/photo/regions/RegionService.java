package org.nineveils.app.photo.regions;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.base.memory.Weights;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.document.Json;
import org.nineveils.document.RegionsJson;
import org.nineveils.file.PictureReader;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Stroke;
import org.nineveils.name.Names;
import org.nineveils.picture.Picture;
import org.nineveils.proof.measure.Pair;
import org.nineveils.region.PhotoRegion;
import org.nineveils.region.PhotoRegions;
import org.springframework.stereotype.Service;

/** What photos of the wall hold: regions, their paint, and where they lie. */
@Service
public class RegionService {
  /** Long side that areas are told at, pixels; proofs are measured at it too. */
  private static final int LONG_SIDE = Pair.LONG_SIDE;

  private final RegionStore store;
  private final PhotoService photos;
  private final Journal journal;
  private final Blobs blobs;
  private final Shelf<String, Map<String, float[]>> covers;
  private final Shelf<String, Picture> greys;

  RegionService(
      RegionStore store, PhotoService photos, Journal journal, Blobs blobs, Budget budget) {
    this.store = store;
    this.photos = photos;
    this.journal = journal;
    this.blobs = blobs;
    this.greys = budget.shelf("pictures of regions", Weights::picture);
    this.covers =
        budget.shelf(
            "regions",
            all -> all.values().stream().mapToLong(c -> (long) c.length * Float.BYTES).sum());
  }

  /** What undo on the page of a photo looks at. */
  static String scope(long photoId) {
    return "regions:" + photoId;
  }

  /** The row of a photo, made where there was none. */
  RegionStore.Row row(long photoId) {
    photos.get(photoId);
    return store
        .find(photoId)
        .orElseGet(
            () ->
                journal.quietly(
                    () -> {
                      store.addIfMissing(photoId);
                      return store.find(photoId).orElseThrow();
                    }));
  }

  /** The regions of a photo. */
  public PhotoRegions regions(long photoId) {
    return store.find(photoId).map(RegionService::parsed).orElse(PhotoRegions.NONE);
  }

  static PhotoRegions parsed(RegionStore.Row row) {
    return RegionsJson.parse(Json.read(row.doc(), "The regions"));
  }

  /** What was painted, by id of the region. */
  Map<String, Paint> paint(long photoId) {
    RegionStore.Row row = row(photoId);
    return store.strokes().find(row.id(), photoId);
  }

  /** How many strokes each region has. */
  Map<String, Integer> counts(long photoId) {
    return store.strokes().counts(row(photoId).id(), photoId);
  }

  /** Changes with all that the regions of a photo depend on. */
  public String key(long photoId) {
    return store.find(photoId).map(row -> key(photos.get(photoId), row)).orElse("");
  }

  private String key(Photo photo, RegionStore.Row row) {
    return key(photo, row.doc(), store.key(row.id()));
  }

  static String key(Photo photo, String doc, String painted) {
    return photo.sha() + " " + doc + " " + painted;
  }

  /** Where the regions of a photo lie at the size of proofs, by id; worked out once. */
  public Map<String, float[]> covers(long photoId) {
    RegionStore.Row row = row(photoId);
    Photo photo = photos.get(photoId);
    return covers.get(
        key(photo, row),
        () ->
            parsed(row)
                .covers(
                    store.strokes().find(row.id(), photoId),
                    photos.once(photo, LONG_SIDE),
                    this::picture));
  }

  /** Where one region lies at another size, by its name; null where the photo has none of it. */
  public float[] cover(long photoId, String name, Picture plain) {
    PhotoRegions all = regions(photoId);
    return all.all().stream()
        .filter(r -> Names.key(r.name()).equals(Names.key(name)))
        .findFirst()
        .map(r -> all.covers(paint(photoId), plain, this::picture).get(r.id()))
        .orElse(null);
  }

  /** A grey picture by its name, null where it is gone. */
  Picture picture(String sha) {
    return blobs.has(sha)
        ? greys.get(sha, () -> PictureReader.read(blobs.get(sha), "The region's picture"))
        : null;
  }

  /** The same by name, for whoever measures in them. */
  public Map<String, float[]> named(long photoId) {
    Map<String, float[]> byId = covers(photoId);
    Map<String, float[]> out = new LinkedHashMap<>();
    regions(photoId).all().forEach(r -> out.put(r.name(), byId.get(r.id())));
    return out;
  }

  /** Share of the photo that each region takes, 0…1, by id. */
  Map<String, Double> shares(long photoId) {
    Map<String, Double> out = new LinkedHashMap<>();
    covers(photoId).forEach((id, cover) -> out.put(id, PhotoRegions.share(cover)));
    return out;
  }

  /**
   * Saves the regions as a whole, but for their paint; the paint of those that are gone goes.
   *
   * @throws Conflict with a sentence if they were changed meanwhile
   */
  void save(long photoId, Save save, PhotoRegions regions) {
    RegionStore.Row row = row(photoId);
    journal.edit(
        Set.of(scope(photoId)),
        save.label(),
        save.gesture(),
        () -> {
          PhotoRegions met =
              store
                  .meeting(row.id(), save, regions)
                  .orElseThrow(() -> Conflict.stale("What this photo holds"));
          put(row, met);
          return met;
        });
  }

  private void put(RegionStore.Row row, PhotoRegions regions) {
    store.store(row.id(), regions);
    List<String> kept = regions.all().stream().map(PhotoRegion::id).toList();
    for (String id : store.strokes().counts(row.id(), row.photoId()).keySet()) {
      if (!kept.contains(id)) {
        store.strokes().clear(row.id(), row.photoId(), id);
      }
    }
  }

  private static PhotoRegion of(RegionStore.Row row, String id) {
    return parsed(row).all().stream()
        .filter(r -> r.id().equals(id) && !r.left())
        .findFirst()
        .orElseThrow(() -> new NotFound("This region is no longer here; nothing was painted."));
  }

  /** Adds a stroke. */
  void addStroke(long photoId, String id, Stroke stroke) {
    RegionStore.Row row = row(photoId);
    PhotoRegion region = of(row, id);
    String label = (stroke.reveal() ? "paint " : "take off ") + region.name();
    edit(photoId, label, () -> store.strokes().add(row.id(), photoId, id, stroke));
  }

  /** Does something to all the paint of a region; see {@link Paint#all}. */
  void paintAll(long photoId, String id, String how) {
    RegionStore.Row row = row(photoId);
    PhotoRegion region = of(row, id);
    edit(
        photoId,
        "%s %s".formatted(how, region.name()),
        () -> {
          Paint old = store.strokes().find(row.id(), photoId).getOrDefault(id, Paint.NONE);
          Paint next = old.all(how, false);
          store.strokes().put(row.id(), photoId, id, next);
        });
  }

  /**
   * Reads a region from a grey picture, which its rules and its paint give way to.
   *
   * @param bytes of a picture, white inside; of any size with the photo's shape
   * @return its name on the shelf
   */
  public String read(long photoId, String id, String fileName, byte[] bytes) {
    RegionStore.Row row = row(photoId);
    PhotoRegion region = of(row, id);
    Photo photo = photos.get(photoId);
    Picture grey = PictureReader.read(bytes, fileName);
    checkShape(grey, photo, fileName);
    String sha = blobs.put(bytes);
    edit(
        photoId,
        "read %s from a picture".formatted(region.name()),
        () -> {
          RegionStore.Row now = row(photoId); // as it is after all that decoding
          of(now, id);
          List<PhotoRegion> all =
              parsed(now).all().stream().map(r -> r.id().equals(id) ? r.read(sha) : r).toList();
          store.store(row.id(), new PhotoRegions(all));
          store.strokes().clear(row.id(), photoId, id);
        });
    return sha;
  }

  private static void checkShape(Picture grey, Photo photo, String fileName) {
    double shape = grey.width() / (double) grey.height();
    double wanted = photo.width() / (double) photo.height();
    if (Math.abs(shape / wanted - 1) > 0.01) {
      throw new org.nineveils.refusal.Refusal(
          String.format(
              Locale.ROOT,
              "%s has %d × %d pixels, which is not the shape of “%s” (%d × %d).",
              fileName,
              grey.width(),
              grey.height(),
              photo.name(),
              photo.width(),
              photo.height()));
    }
  }

  private void edit(long photoId, String label, Runnable change) {
    journal.edit(
        scope(photoId),
        label,
        () -> {
          change.run();
          return null;
        });
  }

  /** Gives a photo a region read from a picture, as the demo does. */
  public void add(long photoId, String name, String fileName, byte[] grey) {
    RegionStore.Row row = row(photoId);
    List<PhotoRegion> all = new java.util.ArrayList<>(parsed(row).all());
    String id = "r" + (all.size() + 1);
    all.add(new PhotoRegion(id, name, Mask.BRUSH_ON, false));
    edit(photoId, "add " + name, () -> store.store(row.id(), new PhotoRegions(all)));
    read(photoId, id, fileName, grey);
  }
}
