package org.nineveils.app.photo.regions;

import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.document.Json;
import org.nineveils.document.RegionsJson;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.PhotoFacts;
import org.nineveils.proof.measure.Plain;
import org.nineveils.region.PhotoRegion;
import org.nineveils.region.PhotoRegions;
import org.nineveils.release.Checksums;
import org.springframework.stereotype.Service;

/** What photos hold and what they are, many at a time. */
@Service
public class WallFacts {
  private final RegionStore store;
  private final RegionService regions;
  private final FactStore facts;
  private final PhotoService photos;

  WallFacts(RegionStore store, RegionService regions, FactStore facts, PhotoService photos) {
    this.store = store;
    this.regions = regions;
    this.facts = facts;
    this.photos = photos;
  }

  /**
   * What a photo holds, for lists.
   *
   * @param names of its regions
   * @param key changes with all that they depend on
   */
  public record Held(List<String> names, String key) {}

  /** What some photos hold, by id. */
  public Map<Long, Held> held(List<Photo> some) {
    Map<Long, RegionStore.Listed> rows = new LinkedHashMap<>();
    store.all().forEach(row -> rows.put(row.photoId(), row));
    Map<Long, Held> out = new LinkedHashMap<>();
    for (Photo photo : some) {
      RegionStore.Listed row = rows.get(photo.id());
      out.put(photo.id(), held(photo, row == null ? nothing(photo) : row));
    }
    return out;
  }

  /** What one photo holds. */
  public Held held(Photo photo) {
    return held(
        photo,
        store
            .find(photo.id())
            .map(r -> new RegionStore.Listed(r.photoId(), r.doc(), store.key(r.id())))
            .orElseGet(() -> nothing(photo)));
  }

  /** What a row would say that is made once somebody looks. */
  private static RegionStore.Listed nothing(Photo photo) {
    String doc = Json.write(RegionsJson.format(PhotoRegions.NONE));
    return new RegionStore.Listed(photo.id(), doc, "");
  }

  private static Held held(Photo photo, RegionStore.Listed row) {
    PhotoRegions regions = RegionsJson.parse(Json.read(row.doc(), "The regions"));
    return new Held(
        regions.all().stream().map(PhotoRegion::name).toList(),
        RegionService.key(photo, row.doc(), row.painted()));
  }

  /** What a photo is, measured at the size of proofs. */
  public PhotoFacts of(Photo photo) {
    return all(List.of(photo), Duration.ofDays(1)).get(photo.id());
  }

  /**
   * What some photos are: those that were measured before, and as many more as there is time for.
   *
   * @return by id of the photo; those that there was no time for are left out
   */
  public Map<Long, PhotoFacts> all(List<Photo> some, Duration time) {
    Map<Long, String> keys = new LinkedHashMap<>();
    held(some).forEach((id, held) -> keys.put(id, key(held)));
    Map<String, PhotoFacts> known = facts.find(List.copyOf(keys.values()));
    long end = System.nanoTime() + time.toNanos();
    Map<Long, PhotoFacts> out = new LinkedHashMap<>();
    for (Photo photo : some) {
      String key = keys.get(photo.id());
      PhotoFacts found = known.get(key);
      if (found == null && System.nanoTime() < end) {
        found = photos.whole(photo, whole -> PhotoFacts.of(plain(photo), whole));
        facts.put(key, found);
      }
      if (found != null) {
        out.put(photo.id(), found);
      }
    }
    return out;
  }

  private Plain plain(Photo photo) {
    return new Plain(photos.once(photo, Pair.LONG_SIDE), regions.named(photo.id()));
  }

  private static String key(Held held) {
    return Checksums.sha256((PhotoFacts.BUILD + " " + held.key()).getBytes(StandardCharsets.UTF_8));
  }
}
