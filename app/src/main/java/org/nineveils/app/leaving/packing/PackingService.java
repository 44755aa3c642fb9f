package org.nineveils.app.leaving.packing;

import java.io.IOException;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.jobs.Job;
import org.nineveils.app.base.jobs.JobKind;
import org.nineveils.app.base.jobs.JobRun;
import org.nineveils.app.base.jobs.Jobs;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.leaving.collections.CollectionRows;
import org.nineveils.app.leaving.collections.CollectionService;
import org.nineveils.app.leaving.collections.Drafts;
import org.nineveils.app.leaving.collections.PackedReleases;
import org.nineveils.app.leaving.collections.Previews;
import org.nineveils.app.leaving.since.SinceService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.making.maker.KeyFile;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.release.ReleaseReader;
import org.nineveils.release.ReleaseWriter;
import org.nineveils.release.signing.MakersKey;
import org.springframework.stereotype.Service;

/**
 * Packs collections into release files, as jobs, from the state of one moment. A version, once
 * packed, never changes, whatever becomes of its collection.
 */
@Service
public class PackingService implements JobKind {
  private static final String ID = "packing";

  private final CollectionService collections;
  private final PackedReleases packed;
  private final Drafts drafts;
  private final LeavingService leaving;
  private final SinceService since;
  private final Previews previews;
  private final KeyFile key;
  private final Blobs blobs;
  private final Journal journal;
  private final Clock clock;
  private final Jobs jobs;

  PackingService(
      CollectionService collections,
      PackedReleases packed,
      Drafts drafts,
      LeavingService leaving,
      SinceService since,
      Previews previews,
      KeyFile key,
      Blobs blobs,
      Journal journal,
      Clock clock,
      Jobs jobs) {
    this.collections = collections;
    this.packed = packed;
    this.drafts = drafts;
    this.leaving = leaving;
    this.since = since;
    this.previews = previews;
    this.key = key;
    this.blobs = blobs;
    this.journal = journal;
    this.clock = clock;
    this.jobs = jobs;
  }

  /**
   * Starts packing a collection; where it is being packed already, that goes on.
   *
   * @param seen how many things worth a look the maker was asked about
   */
  public Job pack(long id, int seen) {
    CollectionRows.Collection c = collections.get(id);
    String subject = "collection:" + id;
    return jobs.last(ID, subject)
        .filter(job -> job.state().isOpen())
        .orElseGet(
            () ->
                jobs.start(
                    ID,
                    subject,
                    "Packing “%s” %s".formatted(c.name(), c.version()),
                    new Packing(id, seen)));
  }

  /** With how much worth a look was seen before. */
  record Packing(long collection, int seen) {}

  @Override
  public Nature nature() {
    return new Nature(
        ID, Turn.PATIENT, Restart.CUT_OFF); // what it was begun with is no longer what there is
  }

  @Override
  public void run(JobRun run) throws IOException {
    Packing asked = run.asked(Packing.class);
    Drafts.Snapshot snapshot = drafts.snapshot(asked.collection());
    // What is packed is what is checked: it may have changed since the click, or while others ran.
    if (leaving.check(snapshot) > asked.seen()) {
      throw new Refusal(
          "Nothing was packed: since you looked, something more is worth a look. Look again, then pack.");
    }
    List<Rows.Head> heads = snapshot.heads();
    run.total(heads.size(), 0);
    Map<Long, byte[][]> made = new ConcurrentHashMap<>();
    run.each(
        heads,
        true,
        Rows.Head::name,
        head -> (long) Previews.LONG_SIDE * Previews.LONG_SIDE,
        head -> made.put(head.id(), previews.of(snapshot.effects().get(head.id()))));
    if (run.isStopped()) {
      run.said("Nothing was packed.");
      return;
    }
    if (made.size() < heads.size()) {
      throw new Refusal("Nothing was packed: a picture could not be made. Mend that, then pack.");
    }
    byte[][] cover = previews.cover(snapshot.cover());
    Release release =
        drafts.release(
            snapshot, made::get, new Release.Cover(cover[0], cover[1]), since.news(snapshot));
    run.said(keep(snapshot.collection(), release));
  }

  /**
   * Keeps a release for ever.
   *
   * @return a sentence for the maker
   * @throws Conflict if the version was packed before from another state
   */
  private String keep(CollectionRows.Collection c, Release release) {
    MakersKey signing = key.get();
    byte[] file = ReleaseWriter.write(release, signing);
    String fileName = "%s-%s.zip".formatted(Names.slug(c.name()), c.version());
    ReleaseReader.check(file, fileName); // what the desk would refuse is never put out
    Optional<CollectionRows.Packed> before = packed.of(c.name(), c.version());
    if (before.isPresent()) {
      if (holdsTheSame(before.get(), file, fileName)) {
        return "Version %s was packed before from the same state.".formatted(c.version());
      }
      throw new Conflict(
          "Version %s was packed before, and the collection has changed since. Raise the version, then pack."
              .formatted(c.version()));
    }
    String sha = blobs.put(file);
    String now = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
    int effects = release.effects().size();
    journal.quietly(
        () -> {
          packed.add(
              new CollectionRows.Packed(
                  0,
                  c.id(),
                  c.name(),
                  c.version(),
                  fileName,
                  sha,
                  file.length,
                  now,
                  effects,
                  signing.key()));
          return null;
        });
    String held = effects == 1 ? "one effect" : effects + " effects";
    return "Packed “%s” %s with %s, signed with key %s."
        .formatted(c.name(), c.version(), held, signing.named());
  }

  /** Whether the lists of checksums are the same, however the files were compressed. */
  private boolean holdsTheSame(CollectionRows.Packed before, byte[] file, String fileName) {
    return Arrays.equals(
        ReleaseReader.checksums(blobs.get(before.sha()), before.fileName()),
        ReleaseReader.checksums(file, fileName));
  }
}
