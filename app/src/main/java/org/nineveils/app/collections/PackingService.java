package org.nineveils.app.collections;

import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import org.nineveils.app.bench.BenchService;
import org.nineveils.app.data.Blobs;
import org.nineveils.app.data.Journal;
import org.nineveils.app.kits.EffectService;
import org.nineveils.app.kits.KitService;
import org.nineveils.app.render.PlacedPictures;
import org.nineveils.app.web.Conflict;
import org.nineveils.app.web.NotFound;
import org.nineveils.kit.Names;
import org.nineveils.kit.StackingRule;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureWriter;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.ReleaseWriter;
import org.springframework.stereotype.Service;

/** Packs collections into release files. A version, once packed, never changes. */
@Service
class PackingService {
  private static final int PREVIEW_LONG_SIDE = 640;
  private static final float PREVIEW_QUALITY = 0.88f;
  private static final byte[] NONE = {};

  private final CollectionService collections;
  private final CollectionStore store;
  private final KitService kits;
  private final EffectService effects;
  private final BenchService bench;
  private final PlacedPictures pictures;
  private final Blobs blobs;
  private final Journal journal;
  private final Clock clock = Clock.systemUTC();

  PackingService(
      CollectionService collections,
      CollectionStore store,
      KitService kits,
      EffectService effects,
      BenchService bench,
      PlacedPictures pictures,
      Blobs blobs,
      Journal journal) {
    this.collections = collections;
    this.store = store;
    this.kits = kits;
    this.effects = effects;
    this.bench = bench;
    this.pictures = pictures;
    this.blobs = blobs;
    this.journal = journal;
  }

  List<Rows.Packed> packed(long collectionId) {
    return store.packed(collectionId);
  }

  Rows.Packed packedOne(long id) {
    return store.packedOne(id).orElseThrow(() -> new NotFound("This release is no longer here."));
  }

  byte[] file(Rows.Packed packed) {
    return blobs.get(packed.sha());
  }

  /**
   * Packs a collection as it is now and keeps the file.
   *
   * @return a sentence for the maker
   * @throws Conflict if the version was packed before from another state
   */
  String pack(long id) {
    Rows.Collection c = collections.get(id);
    Release release = release(c);
    if (release.effects().isEmpty()) {
      throw new IllegalArgumentException(
          "“%s” holds no effect yet. Choose a kit that has effects, then pack."
              .formatted(c.name()));
    }
    byte[] file = ReleaseWriter.write(release);
    String fileName = "%s-%s.zip".formatted(Names.slug(c.name()), c.version());
    ReleaseReader.read(file, fileName); // what the desk would refuse is never put out
    String sha = blobs.put(file);
    Optional<Rows.Packed> before = store.packed(c.name(), c.version());
    if (before.isPresent()) {
      if (before.get().sha().equals(sha)) {
        return "Version %s was packed before from the same state; the file is the same."
            .formatted(c.version());
      }
      throw new Conflict(
          "Version %s was packed before, and the collection has changed since. Raise the version, then pack."
              .formatted(c.version()));
    }
    String now = Instant.now(clock).truncatedTo(ChronoUnit.SECONDS).toString();
    journal.quietly(
        () -> {
          store.addPacked(
              new Rows.Packed(0, id, c.name(), c.version(), fileName, sha, file.length, now));
          return null;
        });
    return "Packed “%s” %s with %d effects."
        .formatted(c.name(), c.version(), release.effects().size());
  }

  private Release release(Rows.Collection c) {
    List<Release.KitPart> kitParts = collections.kitsOf(c.id()).stream().map(this::kit).toList();
    Map<String, byte[]> placed = new TreeMap<>();
    kitParts.stream()
        .flatMap(kit -> kit.sections().stream())
        .flatMap(section -> section.effects().stream())
        .flatMap(part -> part.effect().pictures().stream())
        .forEach(sha -> placed.computeIfAbsent(sha, pictures::file));
    return new Release(
        c.name(), c.version(), collections.makersMark(), c.licence(), c.notes(), kitParts, placed);
  }

  private Release.KitPart kit(long kitId) {
    var kit = kits.kit(kitId);
    return new Release.KitPart(
        kit.name(),
        kit.purpose(),
        kits.filled(kitId).stream()
            .map(
                filled ->
                    new Release.SectionPart(
                        filled.section().number(),
                        filled.section().name(),
                        StackingRule.ofId(filled.section().rule()),
                        filled.effects().stream().map(this::effect).toList()))
            .toList());
  }

  private Release.EffectPart effect(org.nineveils.app.kits.Rows.Effect row) {
    Optional<Picture[]> pictures = bench.beforeAndAfter(row.id(), PREVIEW_LONG_SIDE);
    return new Release.EffectPart(
        row.name(),
        "",
        effects.effect(row),
        pictures.map(p -> PictureWriter.jpeg(p[0], PREVIEW_QUALITY)).orElse(NONE),
        pictures.map(p -> PictureWriter.jpeg(p[1], PREVIEW_QUALITY)).orElse(NONE));
  }
}
