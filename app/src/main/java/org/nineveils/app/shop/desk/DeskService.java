package org.nineveils.app.shop.desk;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Obstacle;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.wear.fitting.Vouched;
import org.nineveils.app.wear.fitting.Wardrobe;
import org.nineveils.app.wear.fitting.WardrobeSource;
import org.nineveils.app.wear.fitting.WornFittings;
import org.nineveils.app.wear.looks.OwnLookKeys;
import org.nineveils.app.wear.looks.OwnLooks;
import org.nineveils.kit.Against;
import org.nineveils.kit.Offer;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.signing.Signed;
import org.nineveils.release.since.NextVersion;
import org.springframework.stereotype.Service;

/** Opens releases as a photographer's program would, from the file alone. */
@Service
public class DeskService implements WardrobeSource {
  /** More sections than a kit has: keeps the sections of a release's kits apart and in order. */
  private static final int SECTIONS_PER_KIT = 100;

  /** What undo of releases at the desk looks at. */
  static final String SCOPE = OwnLooks.SCOPE;

  private final DeskStore store;
  private final Blobs blobs;
  private final Journal journal;
  private final PhotoService photos;
  private final Thumbnails thumbnails;
  private final KnownKeys keys;
  private final FavouriteStore favourites;
  private final WornFittings fittings;
  private final OwnLookKeys looks;
  private final Shelf<String, Release> open;

  DeskService(
      DeskStore store,
      Blobs blobs,
      Journal journal,
      PhotoService photos,
      Thumbnails thumbnails,
      KnownKeys keys,
      FavouriteStore favourites,
      WornFittings fittings,
      OwnLookKeys looks,
      Budget budget) {
    this.store = store;
    this.blobs = blobs;
    this.journal = journal;
    this.photos = photos;
    this.thumbnails = thumbnails;
    this.keys = keys;
    this.favourites = favourites;
    this.fittings = fittings;
    this.looks = looks;
    this.open = budget.shelf("open releases", Release::bytes);
  }

  /** By checksum of the file, which never becomes another. */
  private final Map<String, Signed> signatures = new ConcurrentHashMap<>();

  public List<DeskRow> all() {
    return store.all();
  }

  DeskRow get(long id) {
    return store.find(id).orElseThrow(() -> new NotFound("This collection is not at the desk."));
  }

  /** The release at the desk that is a wardrobe of that name; empty where there is none. */
  Optional<DeskRow> byWardrobe(String name) {
    String[] parts = name.split(":", 2);
    return parts[0].equals(prefix()) ? store.find(Long.parseLong(parts[1])) : Optional.empty();
  }

  /**
   * Takes a release file in, if all of it is sound.
   *
   * @return its id at the desk
   * @throws org.nineveils.release.ReleaseException with a sentence if it is not
   */
  public long take(String fileName, byte[] bytes) {
    return take(fileName, bytes, "", false);
  }

  /**
   * The same of a file from the stall.
   *
   * @param code its letters; empty where the file came otherwise
   * @param sure the photographer was asked and wants it, signed as it is or not
   * @throws Obstacle with a question where its maker signed otherwise before
   */
  long take(String fileName, byte[] bytes, String code, boolean sure) {
    Release release = ReleaseReader.check(bytes, fileName);
    Signed signed = ReleaseReader.signed(bytes, fileName);
    keys.ask(signed, release.makersMark(), fileName, sure);
    String sha = blobs.put(bytes);
    keys.see(signed, release.makersMark(), sha);
    release.pictures().values().forEach(blobs::put); // on the shelf under their checksums
    return journal.edit(
        SCOPE,
        "open %s %s".formatted(release.name(), release.version()),
        () -> {
          long id =
              store.add(
                  new DeskRow(
                      0,
                      sha,
                      release.name(),
                      release.version(),
                      release.makersMark(),
                      code,
                      signed.key(),
                      0));
          looks.comesBack(sha, prefix() + ":" + id);
          return id;
        });
  }

  /**
   * Takes a release off the desk, with the fittings that wear it and those whose place it took,
   * until undo. A newer one that waits aside for it comes to the desk.
   */
  public void remove(long id) {
    DeskRow row = get(id);
    journal.edit(
        SCOPE,
        "take %s %s off the desk".formatted(row.name(), row.version()),
        () -> {
          removeWithOlder(row);
          return null;
        });
  }

  private void removeWithOlder(DeskRow row) {
    List<DeskRow> newer = new ArrayList<>();
    for (DeskRow other : store.behind(row.id())) {
      if (NextVersion.compare(other.version(), row.version()) > 0) {
        newer.add(other);
      } else {
        removeWithOlder(other);
      }
    }
    newer.sort((a, b) -> NextVersion.compare(b.version(), a.version()));
    for (int i = 0; i < newer.size(); i++) {
      store.behind(newer.get(i).id(), i == 0 ? 0 : newer.get(0).id());
    }
    fittings.remove(row.wardrobe());
    looks.leaves(row.wardrobe(), row.sha(), row.called());
    store.remove(row.id());
  }

  /** Paths of the effects of a release that are marked. */
  Set<String> favourites(long id) {
    return favourites.of(id);
  }

  /** Marks an effect of a release as a favourite, or takes the mark off. */
  void favour(long id, String path, boolean is) {
    release(get(id)).effect(path);
    journal.quietly(
        () -> {
          favourites.put(id, path, is);
          return null;
        });
  }

  /** How many photos wear something of a release, by its id. */
  Map<Long, Integer> worn() {
    Map<Long, Integer> out = new HashMap<>();
    fittings.worn(prefix()).forEach((name, n) -> out.put(Long.parseLong(name), n));
    return out;
  }

  /** What is in a release at the desk. */
  public Release release(DeskRow row) {
    return open.get(row.sha(), () -> ReleaseReader.read(blobs.get(row.sha()), row.name()));
  }

  /** Who vouches for a release. */
  Vouched vouched(DeskRow row) {
    Signed signed =
        signatures.computeIfAbsent(
            row.sha(), sha -> ReleaseReader.signed(blobs.get(sha), row.name()));
    return keys.vouched(signed, row.makersMark(), row.sha());
  }

  @Override
  public Optional<Vouched> vouched(long id) {
    return Optional.of(vouched(get(id)));
  }

  /** One effect of a release on a photo, small. */
  Thumbnails.Small small(long id, String path, long photoId) {
    DeskRow row = get(id);
    Photo photo = photos.get(photoId);
    return thumbnails.through(
        photo, row.sha() + "/" + path, () -> release(row).effect(path).effect(), "", Map::of);
  }

  @Override
  public String prefix() {
    return "release";
  }

  @Override
  public List<Choice> choices() {
    return all().stream().map(r -> new Choice(prefix() + ":" + r.id(), r.called())).toList();
  }

  @Override
  public Wardrobe open(long id) {
    DeskRow row = get(id);
    Release release = release(row);
    boolean several = release.kits().size() > 1;
    Set<String> favoured = favourites.of(id);
    List<Wardrobe.Piece> pieces = new ArrayList<>();
    int kitNumber = 0;
    for (Release.KitPart kit : release.kits()) {
      for (Release.SectionPart section : kit.sections()) {
        String name = several ? kit.name() + ", " + section.name() : section.name();
        for (Release.EffectPart effect : section.effects()) {
          Offer offer =
              new Offer(
                  effect.key(),
                  effect.name(),
                  kitNumber * SECTIONS_PER_KIT + section.number(),
                  name,
                  section.rule(),
                  pieces.size(),
                  against(section, kitNumber * SECTIONS_PER_KIT));
          String small =
              String.format(
                  Locale.ROOT, "/desk/%d/small?effect=%s&photo={photo}", id, effect.key());
          String favour =
              String.format(Locale.ROOT, "/api/desk/%d/favourite?effect=%s&", id, effect.key());
          boolean is = favoured.contains(effect.key());
          pieces.add(new Wardrobe.Piece(offer, small, is, favour));
        }
      }
      kitNumber++;
    }
    return new Wardrobe(
        row.called(),
        "/desk/" + id,
        Side.DESK,
        pieces,
        List::of,
        path -> release.effect(path).effect());
  }

  /** What a section goes not with, where sections are counted on from a number. */
  private static List<Against> against(Release.SectionPart section, int from) {
    return section.against().stream().map(a -> new Against(from + a.section(), a.asks())).toList();
  }
}
