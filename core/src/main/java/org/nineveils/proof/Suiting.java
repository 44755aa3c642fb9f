package org.nineveils.proof;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.colour.Lab;
import org.nineveils.mask.Guard;
import org.nineveils.picture.Picture;
import org.nineveils.proof.measure.Finished;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.PhotoFacts;
import org.nineveils.proof.measure.Plain;
import org.nineveils.region.PhotoTags;
import org.nineveils.region.Regions;
import org.nineveils.veil.Effect;

/**
 * How an effect suits a photo that nobody has marked: a hint, by what it is made for and by its
 * limits, measured on that photo with its skin found by rule. Common practice, no published source.
 *
 * @param sort how it stands
 * @param share how far it goes towards its limits, 0 untouched, 1 at one; by this effects of one
 *     sort are ranked, except those that help
 * @param reason in words
 */
public record Suiting(Sort sort, double share, String reason) {

  /** How an effect stands, the best first. */
  public enum Sort {
    /** It mends what is wrong with the photo, within its limits. */
    HELPS,
    /** All that is measured stays within its limits. */
    WITHIN,
    /** Something comes near its limit. */
    NEAR,
    /** It is brushed on, which cannot be tried here. */
    BY_HAND,
    /** It hardly shows. */
    FAINT,
    /** It is made for other photos. */
    ELSEWHERE,
    /** Something goes over its limit. */
    OVER
  }

  /** The best first: by sort, then what helps most, or what stays farthest from its limits. */
  public static final Comparator<Suiting> BEST_FIRST =
      Comparator.comparing(Suiting::sort).thenComparingDouble(Suiting::share);

  /** Mean ΔE00 below which an effect hardly shows. */
  private static final double FAINT = 0.6;

  /** Median L* below which a photo is dark, and above which it is very light. */
  private static final double DARK = 34;

  private static final double LIGHT = 74;

  /** Units of L* that count as help. */
  private static final double LIGHTER = 4;

  /** Chroma of near-neutral tones that is a cast, and by how much less counts as help. */
  private static final double CAST = 3;

  private static final double LESS_CAST = 1.2;

  /**
   * A photo made ready.
   *
   * @param plain at the size of proofs, with its skin
   */
  public record Photo(Plain plain, PhotoFacts facts) {
    /**
     * Finds its skin by its colours.
     *
     * @param photo at its own size
     * @param picture at the size of proofs
     */
    public static Photo of(Picture photo, Picture picture) {
      Map<String, float[]> skin = Map.of(Regions.SKIN, Guard.skinOf(picture));
      Plain plain = Plain.of(photo, picture, skin);
      return new Photo(plain, PhotoFacts.of(plain));
    }

    /** What can be told of it without anybody's word: tags as makers give them. */
    Set<String> tags() {
      if (facts.lightness() < DARK) {
        return Set.of("too dark");
      }
      return facts.lightness() > LIGHT ? Set.of("too light", "high key") : Set.of();
    }
  }

  /**
   * How it suits.
   *
   * @param made the photo through the effect, brush-on veils on the regions that they are meant for
   *     where the photo has them; see {@link OnRegions#dressed}
   * @param limits that its section is held to
   */
  public static Suiting of(Photo photo, Effect effect, Finished made, Limits limits) {
    Plain plain = photo.plain();
    OnRegions on = OnRegions.of(effect, Set.of(), plain.regions().keySet());
    if (on.isHidden()) {
      String where = String.join(" and ", Set.copyOf(on.bare().values()));
      return new Suiting(
          Sort.BY_HAND,
          0,
          where.isBlank() ? "brushed on where you want it" : "brushed on: " + where);
    }
    Optional<String> other = elsewhere(effect.madeFor(), photo.tags());
    Picture finished = made.picture();
    Readings taken = Readings.of(new Pair(plain, made));
    Optional<Verdict> worst = taken.worst(limits);
    double share = worst.map(Verdict::share).orElse(0.0);
    Verdict.State state = worst.map(Verdict::state).orElse(Verdict.State.WITHIN);
    if (state == Verdict.State.OVER) {
      return new Suiting(Sort.OVER, share, said(worst.get()));
    }
    if (other.isPresent()) {
      return new Suiting(Sort.ELSEWHERE, share, other.get());
    }
    PhotoFacts after = PhotoFacts.of(new Plain(finished, plain.regions()));
    Optional<Suiting> help = help(photo.facts(), after);
    if (help.isPresent()) {
      return help.get();
    }
    if (Difference.mean(plain.picture(), finished) < FAINT) {
      return new Suiting(Sort.FAINT, share, "hardly shows on this photo");
    }
    return state == Verdict.State.NEAR
        ? new Suiting(Sort.NEAR, share, said(worst.get()))
        : new Suiting(Sort.WITHIN, share, within(worst));
  }

  /** Sorts of photo, such as newborns, cannot be seen: only what can be measured speaks against. */
  private static Optional<String> elsewhere(List<String> madeFor, Set<String> tags) {
    Set<String> measured = Set.of("too dark", "too light", "high key");
    List<String> asked = madeFor.stream().filter(measured::contains).toList();
    return PhotoTags.suit(asked, tags)
        ? Optional.empty()
        : Optional.of("made for photos that are " + String.join(" or ", asked));
  }

  private static Optional<Suiting> help(PhotoFacts was, PhotoFacts is) {
    if (was.lightness() < DARK && is.lightness() - was.lightness() >= LIGHTER) {
      return Optional.of(helps("lifts a dark photo", was.lightness(), is.lightness()));
    }
    if (was.lightness() > LIGHT && was.lightness() - is.lightness() >= LIGHTER) {
      return Optional.of(helps("calms a very light photo", was.lightness(), is.lightness()));
    }
    double cast = chroma(was.neutral());
    double left = chroma(is.neutral());
    if (cast > CAST && cast - left >= LESS_CAST) {
      String words =
          String.format(Locale.ROOT, "takes out a colour cast, %.1f to %.1f", cast, left);
      return Optional.of(new Suiting(Sort.HELPS, left - cast, words));
    }
    return Optional.empty();
  }

  private static Suiting helps(String what, double was, double is) {
    String words = String.format(Locale.ROOT, "%s, L* %.0f to %.0f", what, was, is);
    return new Suiting(Sort.HELPS, -Math.abs(is - was), words);
  }

  private static double chroma(Lab neutral) {
    return neutral == null ? 0 : Math.hypot(neutral.a(), neutral.b());
  }

  private static String within(Optional<Verdict> worst) {
    return worst
        .filter(v -> v.share() > 0)
        .map(
            v ->
                String.format(
                    Locale.ROOT,
                    "within: %s %.1f of %.0f %s",
                    v.measure().word(),
                    v.reading().value(),
                    v.limit(),
                    v.measure().unit()))
        .orElse("within all its limits");
  }

  private static String said(Verdict v) {
    return String.format(
        Locale.ROOT,
        "%s: %s %.1f %s, limit %.0f",
        v.state().word(),
        v.measure().word(),
        v.reading().value(),
        v.measure().unit(),
        v.limit());
  }
}
