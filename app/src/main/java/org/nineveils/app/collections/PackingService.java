package org.nineveils.app.collections;

import java.io.IOException;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ConcurrentHashMap;
import org.nineveils.app.bench.BenchService;
import org.nineveils.app.data.Blobs;
import org.nineveils.app.fault.Conflict;
import org.nineveils.app.fault.NotFound;
import org.nineveils.app.jobs.Job;
import org.nineveils.app.jobs.JobKind;
import org.nineveils.app.jobs.JobRun;
import org.nineveils.app.jobs.Jobs;
import org.nineveils.app.kits.KitService;
import org.nineveils.app.kits.Rows;
import org.nineveils.app.kits.WornRules;
import org.nineveils.app.render.PlacedPictures;
import org.nineveils.app.undo.Journal;
import org.nineveils.document.Json;
import org.nineveils.kit.Against;
import org.nineveils.kit.Names;
import org.nineveils.kit.StackingRule;
import org.nineveils.picture.Picture;
import org.nineveils.picture.PictureWriter;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Checksums;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.ReleaseWriter;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;

/**
 * Packs collections into release files, as jobs, from the state of one moment. A version, once
 * packed, never changes, whatever becomes of its collection.
 */
@Service
class PackingService implements JobKind {
  private static final String ID = "packing";
  private static final int PREVIEW_LONG_SIDE = 640;
  private static final float PREVIEW_QUALITY = 0.88f;
  private static final byte[] NONE = {};

  private final CollectionService collections;
  private final CollectionStore store;
  private final KitService kits;
  private final WornRules rules;
  private final BenchService bench;
  private final PlacedPictures pictures;
  private final Blobs blobs;
  private final Journal journal;
  private final Clock clock;
  private final ObjectProvider<Jobs> jobs;

  PackingService(
      CollectionService collections,
      CollectionStore store,
      KitService kits,
      WornRules rules,
      BenchService bench,
      PlacedPictures pictures,
      Blobs blobs,
      Journal journal,
      Clock clock,
      ObjectProvider<Jobs> jobs) {
    this.collections = collections;
    this.store = store;
    this.kits = kits;
    this.rules = rules;
    this.bench = bench;
    this.pictures = pictures;
    this.blobs = blobs;
    this.journal = journal;
    this.clock = clock;
    this.jobs = jobs;
  }

  List<CollectionRows.Packed> packed(long collectionId) {
    return store.packed(collectionId);
  }

  /** Releases whose collection was removed: they stay for ever all the same. */
  List<CollectionRows.Packed> packedOfNone() {
    return store.packedOfNone();
  }

  CollectionRows.Packed packedOne(long id) {
    return store.packedOne(id).orElseThrow(() -> new NotFound("This release is no longer here."));
  }

  byte[] file(CollectionRows.Packed packed) {
    return blobs.get(packed.sha());
  }

  /** Starts packing a collection; where it is being packed already, that goes on. */
  Job pack(long id) {
    CollectionRows.Collection c = collections.get(id);
    boolean empty =
        collections.kitsOf(id).stream()
            .allMatch(kit -> kits.filled(kit).stream().allMatch(s -> s.effects().isEmpty()));
    if (empty) {
      throw new Refusal(
          "“%s” holds no effect yet. Choose a kit that has effects, then pack."
              .formatted(c.name()));
    }
    String subject = "collection:" + id;
    return jobs.getObject()
        .last(ID, subject)
        .filter(job -> job.state().isOpen())
        .orElseGet(
            () ->
                jobs.getObject()
                    .start(
                        ID,
                        subject,
                        "Packing “%s” %s".formatted(c.name(), c.version()),
                        Json.write(Json.object("collection", id))));
  }

  @Override
  public Nature nature() {
    return new Nature(ID, false, false); // what it was begun with is no longer what there is
  }

  private record Section(Rows.Section row, List<Against> against, List<Rows.Head> effects) {}

  private record KitAt(Rows.Kit row, List<Section> sections) {}

  /** All that goes in, as it is at one moment. */
  private record Snapshot(
      CollectionRows.Collection collection,
      String makersMark,
      List<KitAt> kits,
      Map<Long, BenchService.Shown> effects) {}

  private Snapshot snapshot(long id) {
    return journal.quietly(
        () -> {
          Map<Long, BenchService.Shown> effects = new HashMap<>();
          List<KitAt> all = new ArrayList<>();
          for (long kitId : collections.kitsOf(id)) {
            List<Section> sections = new ArrayList<>();
            Map<Long, List<Against>> against = rules.against(kitId);
            for (Rows.FilledSection filled : kits.filled(kitId)) {
              filled.effects().forEach(e -> effects.put(e.id(), bench.shown(e.id())));
              long sectionId = filled.section().id();
              sections.add(new Section(filled.section(), against.get(sectionId), filled.effects()));
            }
            all.add(new KitAt(kits.kit(kitId), sections));
          }
          return new Snapshot(collections.get(id), collections.makersMark(), all, effects);
        });
  }

  @Override
  public void run(JobRun run) throws IOException {
    Snapshot snapshot = snapshot(run.request().whole("collection"));
    List<Rows.Head> heads =
        snapshot.kits().stream()
            .flatMap(k -> k.sections().stream())
            .flatMap(s -> s.effects().stream())
            .toList();
    run.total(heads.size(), 0);
    Map<Long, byte[][]> previews = new ConcurrentHashMap<>();
    run.each(
        heads,
        true,
        Rows.Head::name,
        head -> (long) PREVIEW_LONG_SIDE * PREVIEW_LONG_SIDE,
        head -> previews.put(head.id(), previews(snapshot.effects().get(head.id()))));
    if (run.isStopped()) {
      run.said("Nothing was packed.");
      return;
    }
    if (previews.size() < heads.size()) {
      throw new Refusal("Nothing was packed: a picture could not be made. Mend that, then pack.");
    }
    run.said(keep(snapshot, release(snapshot, previews)));
  }

  private byte[][] previews(BenchService.Shown shown) {
    Optional<Picture[]> both = bench.beforeAndAfter(shown, PREVIEW_LONG_SIDE);
    return new byte[][] {
      both.map(p -> PictureWriter.jpeg(p[0], PREVIEW_QUALITY)).orElse(NONE),
      both.map(p -> PictureWriter.jpeg(p[1], PREVIEW_QUALITY)).orElse(NONE)
    };
  }

  /**
   * Keeps a release for ever.
   *
   * @return a sentence for the maker
   * @throws Conflict if the version was packed before from another state
   */
  private String keep(Snapshot snapshot, Release release) {
    CollectionRows.Collection c = snapshot.collection();
    byte[] file = ReleaseWriter.write(release);
    String fileName = "%s-%s.zip".formatted(Names.slug(c.name()), c.version());
    ReleaseReader.check(file, fileName); // what the desk would refuse is never put out
    String sha = Checksums.sha256(file);
    Optional<CollectionRows.Packed> before = store.packed(c.name(), c.version());
    if (before.isPresent()) {
      if (holdsTheSame(before.get(), file, fileName)) {
        return "Version %s was packed before from the same state.".formatted(c.version());
      }
      throw new Conflict(
          "Version %s was packed before, and the collection has changed since. Raise the version, then pack."
              .formatted(c.version()));
    }
    blobs.put(file);
    String now = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
    journal.quietly(
        () -> {
          store.addPacked(
              new CollectionRows.Packed(
                  0, c.id(), c.name(), c.version(), fileName, sha, file.length, now));
          return null;
        });
    return "Packed “%s” %s with %d effects."
        .formatted(c.name(), c.version(), release.effects().size());
  }

  /** Whether the lists of checksums are the same, however the files were compressed. */
  private boolean holdsTheSame(CollectionRows.Packed before, byte[] file, String fileName) {
    return Arrays.equals(
        ReleaseReader.checksums(blobs.get(before.sha()), before.fileName()),
        ReleaseReader.checksums(file, fileName));
  }

  private Release release(Snapshot snapshot, Map<Long, byte[][]> previews) {
    CollectionRows.Collection c = snapshot.collection();
    Map<String, byte[]> placed = new TreeMap<>();
    snapshot
        .effects()
        .values()
        .forEach(
            shown ->
                shown
                    .effect()
                    .pictures()
                    .forEach(sha -> placed.computeIfAbsent(sha, pictures::file)));
    List<Release.KitPart> parts =
        snapshot.kits().stream().map(kit -> kit(kit, snapshot, previews)).toList();
    return new Release(
        c.name(), c.version(), snapshot.makersMark(), c.licence(), c.notes(), parts, placed);
  }

  private static Release.KitPart kit(KitAt kit, Snapshot snapshot, Map<Long, byte[][]> previews) {
    return new Release.KitPart(
        kit.row().name(),
        kit.row().purpose(),
        kit.sections().stream()
            .map(
                s ->
                    new Release.SectionPart(
                        s.row().number(),
                        s.row().name(),
                        StackingRule.ofId(s.row().rule()),
                        s.against(),
                        s.effects().stream()
                            .map(
                                head ->
                                    new Release.EffectPart(
                                        head.name(),
                                        "",
                                        snapshot.effects().get(head.id()).effect(),
                                        previews.get(head.id())[0],
                                        previews.get(head.id())[1]))
                            .toList()))
            .toList());
  }
}
