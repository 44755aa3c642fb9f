package org.nineveils.app.leaving.packing;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.leaving.collections.CollectionRows;
import org.nineveils.app.leaving.collections.Drafts;
import org.nineveils.app.leaving.collections.GoingIn;
import org.nineveils.app.leaving.collections.PackedReleases;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.render.PlacedPictures;
import org.nineveils.app.proof.alike.LookAlikes;
import org.nineveils.app.proof.sheet.Summaries;
import org.nineveils.kit.EffectFacts;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.Release;
import org.nineveils.release.leaving.Leaving;
import org.nineveils.release.leaving.Reason;
import org.nineveils.release.since.NextVersion;
import org.nineveils.release.since.Since;
import org.nineveils.veil.Effect;
import org.springframework.stereotype.Service;

/** What is looked at before a collection is packed. */
@Service
public class LeavingService {
  /** Bytes of an effect with its two pictures in a release, at a guess. */
  private static final double MEGABYTES_AN_EFFECT = 0.09;

  private final Drafts drafts;
  private final PackedReleases packed;
  private final Summaries summaries;
  private final LookAlikes alike;
  private final PlacedPictures pictures;

  LeavingService(
      Drafts drafts,
      PackedReleases packed,
      Summaries summaries,
      LookAlikes alike,
      PlacedPictures pictures) {
    this.drafts = drafts;
    this.packed = packed;
    this.summaries = summaries;
    this.alike = alike;
    this.pictures = pictures;
  }

  /** What is known of a collection as it is now. */
  public Leaving of(long collection) {
    return of(drafts.snapshot(collection));
  }

  /** What is known of a collection as it was at one moment. */
  public Leaving of(Drafts.Snapshot snapshot) {
    List<Leaving.Kit> kits = new ArrayList<>();
    List<List<Long>> pairs = new ArrayList<>();
    for (GoingIn.Kit kit : snapshot.kits()) {
      Map<Long, Summaries.Summary> proofs = summaries.of(kit.row().id());
      pairs.addAll(alike.of(kit.row().id()));
      List<Leaving.Section> sections =
          kit.sections().stream()
              .map(
                  s ->
                      new Leaving.Section(
                          s.row().id(),
                          s.row().name(),
                          s.effects().stream().map(e -> item(e, snapshot, proofs)).toList()))
              .toList();
      kits.add(new Leaving.Kit(kit.row().id(), kit.row().name(), sections));
    }
    boolean readable =
        kits.stream()
            .flatMap(k -> k.sections().stream())
            .flatMap(s -> s.effects().stream())
            .noneMatch(Leaving.Item::broken);
    Release now = readable ? drafts.plain(snapshot) : null; // a broken picture is no release
    return new Leaving(
        kits,
        pairs,
        readable && isTaken(snapshot, now),
        readable ? tooLow(snapshot, now) : "",
        MEGABYTES_AN_EFFECT * snapshot.heads().size(),
        snapshot.cover() != null,
        !snapshot.collection().licence().isBlank());
  }

  /**
   * The version that the changes since the highest one ask for, where the present one is lower;
   * empty where it is high enough, or the highest one itself.
   */
  private String tooLow(Drafts.Snapshot snapshot, Release now) {
    String version = snapshot.collection().version();
    return packed
        .last(snapshot.collection().id())
        .filter(last -> !last.version().equals(version))
        .map(last -> NextVersion.after(last.version(), Since.between(packed.release(last), now)))
        .filter(least -> !NextVersion.isAtLeast(version, least))
        .orElse("");
  }

  /** Whether the version was packed before and something has changed since. */
  private boolean isTaken(Drafts.Snapshot snapshot, Release now) {
    Optional<CollectionRows.Packed> same =
        packed.of(snapshot.collection().id()).stream()
            .filter(p -> p.version().equals(snapshot.collection().version()))
            .findFirst();
    return same.isPresent() && !Since.between(packed.release(same.get()), now).isEmpty();
  }

  private Leaving.Item item(
      Rows.Head head, Drafts.Snapshot snapshot, Map<Long, Summaries.Summary> proofs) {
    Effect effect = snapshot.effects().get(head.id()).effect();
    Summaries.Summary proof = proofs.getOrDefault(head.id(), Summaries.NONE);
    return new Leaving.Item(
        head.id(),
        head.name(),
        EffectFacts.of(effect),
        proof.proofed(),
        proof.worst(),
        proof.worstPhoto(),
        !effect.pictures().stream().allMatch(this::isReadable));
  }

  private boolean isReadable(String sha) {
    try {
      return pictures.find(sha).isPresent();
    } catch (RuntimeException e) {
      return false;
    }
  }

  /** The same of a collection as it is now. */
  public int check(long collection) {
    return check(drafts.snapshot(collection));
  }

  /**
   * Refuses what must not leave.
   *
   * @return how many things are worth a look
   * @throws Refusal with a sentence naming the first thing that keeps it in
   */
  public int check(Drafts.Snapshot snapshot) {
    List<Leaving.Found> found = of(snapshot).found();
    List<Leaving.Found> must =
        found.stream().filter(f -> f.reason().level() == Reason.Level.MUST).toList();
    if (!must.isEmpty()) {
      Leaving.Found first = must.get(0);
      String more =
          must.size() == 1 ? "" : String.format(Locale.ROOT, ", and %d more", must.size() - 1);
      throw new Refusal(
          "Nothing was packed. %s: %s%s.".formatted(first.subject(), first.reason().words(), more));
    }
    return found.size();
  }
}
