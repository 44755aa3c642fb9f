package org.nineveils.app.leaving.collections;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.LongFunction;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.making.bench.BenchService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.making.maker.MakersMark;
import org.nineveils.app.photo.render.PlacedPictures;
import org.nineveils.app.proof.judging.Judging;
import org.nineveils.kit.StackingRule;
import org.nineveils.proof.Limits;
import org.nineveils.release.Release;
import org.springframework.stereotype.Component;

/** Releases as they would be packed from the state of one moment. */
@Component
public class Drafts {
  private static final byte[] NONE = {};

  private final CollectionService collections;
  private final GoingIn going;
  private final BenchService bench;
  private final Judging judging;
  private final PlacedPictures pictures;
  private final MakersMark mark;
  private final Journal journal;
  private static final int TRIES = 4;

  Drafts(
      CollectionService collections,
      GoingIn going,
      BenchService bench,
      Judging judging,
      PlacedPictures pictures,
      MakersMark mark,
      Journal journal) {
    this.collections = collections;
    this.going = going;
    this.bench = bench;
    this.judging = judging;
    this.pictures = pictures;
    this.mark = mark;
    this.journal = journal;
  }

  /**
   * All that goes in, as it is at one moment.
   *
   * @param effects by id, with the photo and the paint that show each best
   * @param limits of sections, by id
   * @param cover with the photo of the cover, which may be none
   */
  public record Snapshot(
      CollectionRows.Collection collection,
      String makersMark,
      List<GoingIn.Kit> kits,
      Map<Long, BenchService.Shown> effects,
      Map<Long, Limits> limits,
      BenchService.Shown cover) {
    public List<Rows.Head> heads() {
      return kits.stream().flatMap(k -> k.effects().stream()).toList();
    }
  }

  /**
   * Takes a snapshot. It is read without keeping others from saving, and once more where something
   * was saved meanwhile; only where that goes on and on are they kept waiting.
   */
  public Snapshot snapshot(long collection) {
    for (int i = 0; i < TRIES; i++) {
      long before = journal.place();
      Snapshot read = read(collection);
      if (journal.place() == before) {
        return read;
      }
    }
    return journal.quietly(() -> read(collection));
  }

  private Snapshot read(long collection) {
    CollectionRows.Collection c = collections.get(collection);
    List<GoingIn.Kit> kits = going.of(collection);
    Map<Long, BenchService.Shown> effects = new HashMap<>();
    Map<Long, Limits> limits = new HashMap<>();
    for (GoingIn.Kit kit : kits) {
      for (GoingIn.Section section : kit.sections()) {
        long id = section.row().id();
        limits.put(id, judging.limits(kit.row().id(), id));
      }
      kit.effects().forEach(e -> effects.put(e.id(), bench.shown(e.id())));
    }
    return new Snapshot(c, mark.get(), kits, effects, limits, cover(c));
  }

  /** The effect on the cover's photo; null where there is none, or one of the two is gone. */
  private BenchService.Shown cover(CollectionRows.Collection c) {
    if (c.coverPhoto() == 0 || c.coverEffect() == 0) {
      return null;
    }
    try {
      return bench.shown(c.coverEffect(), c.coverPhoto());
    } catch (NotFound e) {
      return null;
    }
  }

  /** A release without pictures of what its effects do; the paths of its effects are their ids. */
  public Release plain(Snapshot snapshot) {
    return release(
        snapshot, id -> new byte[][] {NONE, NONE}, Release.Cover.NONE, Release.News.NONE);
  }

  /**
   * The release.
   *
   * @param previews before and after of an effect, by its id
   */
  public Release release(
      Snapshot snapshot, LongFunction<byte[][]> previews, Release.Cover cover, Release.News news) {
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
        c.name(),
        c.version(),
        snapshot.makersMark(),
        c.licence(),
        c.notes(),
        parts,
        placed,
        cover,
        news,
        c.mayHandOut());
  }

  private static Release.KitPart kit(
      GoingIn.Kit kit, Snapshot snapshot, LongFunction<byte[][]> previews) {
    return new Release.KitPart(
        kit.row().name(),
        kit.row().purpose(),
        kit.sections().stream().map(s -> section(s, snapshot, previews)).toList());
  }

  private static Release.SectionPart section(
      GoingIn.Section section, Snapshot snapshot, LongFunction<byte[][]> previews) {
    return new Release.SectionPart(
        section.row().number(),
        section.row().name(),
        StackingRule.ofId(section.row().rule()),
        section.against(),
        snapshot.limits().getOrDefault(section.row().id(), Limits.START),
        section.effects().stream()
            .map(
                head -> {
                  byte[][] both = previews.apply(head.id());
                  return new Release.EffectPart(
                      head.name(),
                      String.valueOf(head.id()),
                      snapshot.effects().get(head.id()).effect(),
                      both[0],
                      both[1]);
                })
            .toList());
  }
}
