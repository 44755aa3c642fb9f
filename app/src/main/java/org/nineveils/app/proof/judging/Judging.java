package org.nineveils.app.proof.judging;

import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.app.making.kits.Rows;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.proof.cells.Cell;
import org.nineveils.name.Names;
import org.nineveils.proof.Judgement;
import org.nineveils.proof.Limits;
import org.nineveils.proof.Readings;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.refusal.Refusal;
import org.nineveils.region.PhotoTags;
import org.springframework.stereotype.Service;

/** What proofs of a kit are held to: limits, and what may be over them. */
@Service
public class Judging {
  /** Longest reason, in characters. */
  public static final int MAX_REASON = 200;

  private final LimitStore limits;
  private final AcceptedStore accepted;
  private final KitService kits;
  private final EffectService effects;
  private final PhotoService photos;
  private final Journal journal;

  Judging(
      LimitStore limits,
      AcceptedStore accepted,
      KitService kits,
      EffectService effects,
      PhotoService photos,
      Journal journal) {
    this.limits = limits;
    this.accepted = accepted;
    this.kits = kits;
    this.effects = effects;
    this.photos = photos;
    this.journal = journal;
  }

  /** What undo on a sheet looks at. */
  public static String scope(long kitId) {
    return "proofs:" + kitId;
  }

  private record Place(long effect, Optional<Long> photo, String measure) {}

  /** The rules of a kit at one moment. */
  public static final class Rules {
    private final Map<Optional<Long>, Limits> limits;
    private final Map<Place, String> accepted = new HashMap<>();

    private Rules(Map<Optional<Long>, Limits> limits, List<AcceptedStore.Accepted> accepted) {
      this.limits = limits;
      accepted.forEach(
          a ->
              this.accepted.put(
                  new Place(a.effectId(), Optional.ofNullable(a.photoId()), a.measure()),
                  a.reason()));
    }

    /** The kit's own limits. */
    public Limits ofKit() {
      return limits.getOrDefault(Optional.empty(), Limits.START);
    }

    /** What a section has in their place; nothing where it has none of its own. */
    public Limits own(long section) {
      return limits.getOrDefault(Optional.of(section), Limits.START);
    }

    /** What counts in a section. */
    public Limits in(long section) {
      return ofKit().with(own(section));
    }

    /** Why a measure of an effect may be over on a photo; empty where it may not. */
    public String accepted(long effect, long photo, String measure) {
      String here = accepted.get(new Place(effect, Optional.of(photo), measure));
      return here != null
          ? here
          : accepted.getOrDefault(new Place(effect, Optional.empty(), measure), "");
    }

    /** Whether a cell is judged at all. */
    public boolean isJudged(Cell cell) {
      return whyNot(cell).isEmpty();
    }

    private static String whyNot(Cell cell) {
      Cell.Standing standing = cell.standing();
      if (standing.tags().contains(PhotoTags.CHART)) {
        return "a chart";
      }
      List<String> madeFor = cell.effect().madeFor();
      return PhotoTags.suit(madeFor, standing.tags())
          ? standing.on().why()
          : "made for " + String.join(", ", madeFor);
    }

    /** What is said of a cell that was measured. */
    public Judgement judge(Cell cell, Readings taken) {
      String why = whyNot(cell);
      if (!why.isEmpty()) {
        return Judgement.not(why);
      }
      long effect = cell.head().id();
      Limits here = in(cell.head().sectionId());
      return new Judgement("", taken.verdicts(here, id -> accepted(effect, cell.photo().id(), id)));
    }
  }

  public Rules rules(long kitId) {
    return new Rules(limits.all(kitId), accepted.of(effects.ids(kitId)));
  }

  /** What the effects of a section are held to. */
  public Limits limits(long kitId, long sectionId) {
    return rules(kitId).in(sectionId);
  }

  /**
   * Sets limits.
   *
   * @param section null for the kit as a whole
   */
  public void setLimits(long kitId, Long section, Limits next, String label) {
    String whose = section == null ? kits.kit(kitId).name() : sectionOf(kitId, section).name();
    journal.edit(
        scope(kitId),
        "%s of %s".formatted(label, whose),
        () -> {
          limits.put(kitId, Optional.ofNullable(section), next);
          return null;
        });
  }

  private Rows.Section sectionOf(long kitId, long id) {
    Rows.Section section = kits.section(id);
    if (section.kitId() != kitId) {
      throw new Refusal("Section “%s” is in another kit.".formatted(section.name()));
    }
    return section;
  }

  /**
   * Lets a measure of an effect be over, or no longer.
   *
   * @param photoId null for every photo
   * @param reason as the maker writes it; empty to hold it to its limit again
   * @throws Refusal with a sentence if there is no such measure, or the reason is too long
   */
  public void accept(long effectId, Long photoId, String measure, String reason) {
    Rows.Effect effect = effects.get(effectId);
    Measure of =
        Measures.ofId(measure)
            .orElseThrow(() -> new Refusal("There is no measure “%s”.".formatted(measure)));
    String clean = Names.clean(reason);
    if (clean.length() > MAX_REASON) {
      throw new Refusal(
          String.format(
              Locale.ROOT,
              "A reason has at most %d characters; this one has %d.",
              MAX_REASON,
              clean.length()));
    }
    String where = photoId == null ? "everywhere" : "on " + name(photoId);
    String what = of.label().toLowerCase(java.util.Locale.ROOT);
    var row = new AcceptedStore.Accepted(effectId, photoId, measure, clean);
    journal.edit(
        scope(effect.kitId()),
        "%s %s of %s %s"
            .formatted(clean.isEmpty() ? "no longer accept" : "accept", what, effect.name(), where),
        () -> {
          if (clean.isEmpty()) {
            accepted.remove(row);
          } else {
            accepted.put(row);
          }
          return null;
        });
  }

  private String name(long photoId) {
    Photo photo = photos.get(photoId);
    return photo.name();
  }
}
