package org.nineveils.app.leaving.since;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.leaving.collections.CollectionRows;
import org.nineveils.app.leaving.collections.Drafts;
import org.nineveils.app.leaving.collections.PackedReleases;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.ShownOn;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.ChangeLooks;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.proof.sheet.ProofLooks;
import org.nineveils.release.Release;
import org.nineveils.release.since.Change;
import org.nineveils.release.since.NextVersion;
import org.nineveils.release.since.Since;
import org.springframework.stereotype.Service;

/** What a collection changes for those who have the release before. */
@Service
public class SinceService {
  private final Drafts drafts;
  private final PackedReleases packed;
  private final ProofLooks looks;
  private final ShownOn shown;
  private final ChangeLooks changed;
  private final PhotoService photos;
  private final EffectService effects;
  private final Journal journal;
  private final Shelf<String, Optional<Told>> kept;

  SinceService(
      Drafts drafts,
      PackedReleases packed,
      ProofLooks looks,
      ShownOn shown,
      ChangeLooks changed,
      PhotoService photos,
      EffectService effects,
      Journal journal,
      Budget budget) {
    this.drafts = drafts;
    this.packed = packed;
    this.looks = looks;
    this.shown = shown;
    this.changed = changed;
    this.photos = photos;
    this.effects = effects;
    this.journal = journal;
    this.kept = budget.shelf("what collections change", SinceService::weight);
  }

  /**
   * What has changed.
   *
   * @param last the version that it is compared with
   * @param least the version that the changes ask for; {@code last} where there are none
   */
  public record Told(String last, String least, List<Change> changes) {}

  /**
   * Since the highest version that was packed; empty where none was. Kept until something is edited
   * or packed: a page asks for each picture on its own.
   */
  public Optional<Told> told(long collection) {
    String state =
        String.format(
            Locale.ROOT,
            "%d at %d of %d",
            collection,
            journal.place(),
            packed.of(collection).size());
    return kept.get(
        state, () -> packed.last(collection).map(last -> told(last, drafts.snapshot(collection))));
  }

  private Told told(CollectionRows.Packed last, Drafts.Snapshot snapshot) {
    List<Change> changes = Since.between(packed.release(last), drafts.plain(snapshot));
    return new Told(last.version(), NextVersion.after(last.version(), changes), changes);
  }

  /** Between two packed releases of a collection. */
  public Told between(long older, long newer) {
    CollectionRows.Packed one = packed.get(older);
    CollectionRows.Packed two = packed.get(newer);
    return kept.get(
            String.format(Locale.ROOT, "%d to %d", older, newer), () -> Optional.of(told(one, two)))
        .orElseThrow();
  }

  private Told told(CollectionRows.Packed one, CollectionRows.Packed two) {
    List<Change> changes = Since.between(packed.release(one), packed.release(two));
    return new Told(one.version(), NextVersion.after(one.version(), changes), changes);
  }

  private Change between(long older, long newer, int number) {
    return numbered(between(older, newer).changes(), number);
  }

  /** The photo on which packed releases are compared: the first of the wall. */
  private Photo wall() {
    return photos.all(Side.WALL).stream()
        .findFirst()
        .orElseThrow(() -> new NotFound("There is no photo on the test wall yet."));
  }

  /** An effect of one of two packed releases, small. */
  public Thumbnails.Small picture(long older, long newer, int number, boolean old) {
    String sha = packed.get(old ? older : newer).sha();
    return changed.picture(wall(), between(older, newer, number), old, sha);
  }

  /** How far a change between two packed releases moves the picture, mean ΔE00. */
  public double moved(long older, long newer, int number) {
    return changed.moved(wall(), between(older, newer, number));
  }

  /** The news that go into a release: since the highest version below its own. */
  public Release.News news(Drafts.Snapshot snapshot) {
    return packed
        .before(snapshot.collection().id(), snapshot.collection().version())
        .map(before -> told(before, snapshot))
        .map(
            told ->
                new Release.News(
                    told.last(), told.changes().stream().map(Change::sentence).toList()))
        .orElse(Release.News.NONE);
  }

  private static long weight(Optional<Told> told) {
    return told.map(t -> Change.BYTES * t.changes().size()).orElse(0L);
  }

  private Change change(long collection, int number) {
    return numbered(told(collection).map(Told::changes).orElse(List.of()), number);
  }

  private static Change numbered(List<Change> changes, int number) {
    if (number < 0 || number >= changes.size()) {
      throw new NotFound("This change is no longer one.");
    }
    return changes.get(number);
  }

  /** An effect of a change on the photo that its kit is shown on. */
  private ProofLooks.Look look(Change change, boolean old) {
    Release.EffectPart part = old ? change.old() : change.now();
    if (part == null || change.now() == null) {
      throw new NotFound("There is no picture of it: the effect is not there.");
    }
    long id = Long.parseLong(change.now().key());
    return looks.look(id, shown.cover(effects.get(id).kitId()), part.effect());
  }

  /**
   * An effect before or after a change, as a small JPEG.
   *
   * @param number of the change in the order in which they are told
   */
  public byte[] picture(long collection, int number, boolean old) {
    return Thumbnails.once(look(change(collection, number), old).through());
  }

  /** How far a change moves the picture, mean ΔE00 at its start opacity. */
  public double moved(long collection, int number) {
    Change change = change(collection, number);
    return look(change, true).apart(look(change, false));
  }
}
