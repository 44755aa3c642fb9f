package org.nineveils.proof;

import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.mask.Guard;
import org.nineveils.picture.Picture;
import org.nineveils.proof.measure.Finished;
import org.nineveils.proof.measure.Pair;
import org.nineveils.proof.measure.Plain;
import org.nineveils.region.PhotoTags;
import org.nineveils.region.Regions;
import org.nineveils.veil.Effect;

/**
 * How an effect suits a photo that nobody has marked: a hint, by what it is made for and by its
 * limits, measured on that photo with its skin found by rule. Common practice, no published source.
 *
 * @param sort how it stands
 * @param share by this effects of one sort are ranked, the lowest first: how much is mended, or how
 *     much it shows, below 0; how far it goes beyond its limits, above
 * @param reason in words
 */
public record Suiting(Sort sort, double share, String reason) {

  /** How an effect stands, the best first. */
  public enum Sort {
    /** It mends what is plainly wrong with the photo, within its limits. */
    HELPS,
    /** All that is measured stays within its limits. */
    WITHIN,
    /** Something comes near its limit. */
    NEAR,
    /** It takes all colour, which is a choice and no help. */
    BLACK_AND_WHITE,
    /** It lays a frame round the photo. */
    FRAME,
    /** It is brushed on, which cannot be tried here. */
    BY_HAND,
    /** It hardly shows. */
    FAINT,
    /** It is made for other photos. */
    ELSEWHERE,
    /** Something goes over its limit. */
    OVER
  }

  /** The best first: by sort, then what helps most, or what shows most. */
  public static final Comparator<Suiting> BEST_FIRST =
      Comparator.comparing(Suiting::sort).thenComparingDouble(Suiting::share);

  /** Mean ΔE00 below which an effect hardly shows. */
  private static final double FAINT = 0.6;

  /** How much nearer to a photo without its faults a picture must come to be a help. */
  private static final double LEAST_GAIN = 0.24;

  /**
   * A photo made ready.
   *
   * @param plain at the size of proofs, with its skin
   * @param places pixels of it that casts and colours are read off
   * @param looks what it is like
   * @param mended what it would be like without its faults, one by one and all of them
   */
  public record Photo(Plain plain, Looks.Places places, Looks looks, List<Mended> mended) {
    /**
     * Finds its skin by its colours.
     *
     * @param photo at its own size
     * @param picture at the size of proofs
     */
    public static Photo of(Picture photo, Picture picture) {
      float[] skin = Guard.skinOf(picture);
      Looks.Places places = Looks.Places.of(picture, skin);
      Looks looks = Looks.of(picture, places);
      Plain plain = Plain.of(photo, picture, Map.of(Regions.SKIN, skin));
      return new Photo(plain, places, looks, Mended.of(picture, looks));
    }

    /** What can be told of it without anybody's word: tags as makers give them. */
    Set<String> tags() {
      Set<String> out = new HashSet<>();
      for (Fault fault : Fault.values()) {
        if (fault.of(looks) > 0) {
          out.addAll(fault.tags());
        }
      }
      return out;
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
    Picture finished = made.picture();
    Pair pair = new Pair(plain, made);
    Readings taken = Readings.of(pair);
    Optional<Verdict> worst = taken.worst(limits);
    double share = worst.map(Verdict::share).orElse(0.0);
    Verdict.State state = worst.map(Verdict::state).orElse(Verdict.State.WITHIN);
    if (state == Verdict.State.OVER) {
      return new Suiting(Sort.OVER, share, said(worst.get()));
    }
    double shows = Difference.mean(plain.picture(), finished);
    Optional<Suiting> apart = apart(pair, made, shows, state, worst);
    if (apart.isPresent()) {
      return apart.get();
    }
    Optional<Suiting> help = help(photo, finished); // whatever it is made for
    if (help.isPresent()) {
      return help.get();
    }
    Optional<String> other = elsewhere(effect.madeFor(), photo.tags());
    if (other.isPresent()) {
      return new Suiting(Sort.ELSEWHERE, share, other.get());
    }
    if (shows < FAINT) {
      return new Suiting(Sort.FAINT, -shows, "hardly shows on this photo");
    }
    return state == Verdict.State.NEAR
        ? new Suiting(Sort.NEAR, -shows, said(worst.get()))
        : new Suiting(Sort.WITHIN, -shows, within(worst));
  }

  /** Sorts of photo, such as newborns, cannot be seen: only what can be measured speaks against. */
  private static Optional<String> elsewhere(List<String> madeFor, Set<String> tags) {
    Set<String> measured = new HashSet<>();
    for (Fault fault : Fault.values()) {
      measured.addAll(fault.tags());
    }
    List<String> asked = madeFor.stream().filter(measured::contains).toList();
    return PhotoTags.suit(asked, tags)
        ? Optional.empty()
        : Optional.of("made for others: " + String.join(" or ", asked));
  }

  /** What is chosen for its own sake, whatever the photo is like. */
  private static Optional<Suiting> apart(
      Pair pair, Finished made, double shows, Verdict.State state, Optional<Verdict> worst) {
    String words = state == Verdict.State.NEAR ? said(worst.orElseThrow()) : within(worst);
    if (pair.isColourless()) {
      return Optional.of(new Suiting(Sort.BLACK_AND_WHITE, -shows, words));
    }
    return made.border() > 0
        ? Optional.of(new Suiting(Sort.FRAME, -shows, words))
        : Optional.empty();
  }

  /** What comes nearest to the photo without a fault of its, or without all of them. */
  private static Optional<Suiting> help(Photo photo, Picture finished) {
    if (photo.mended().isEmpty()) {
      return Optional.empty();
    }
    Looks was = photo.looks();
    Looks is = Looks.of(finished, photo.places());
    Optional<Suiting> best = Optional.empty();
    for (Mended mended : photo.mended()) {
      double gain = mended.gain(finished);
      Optional<Fault> fault =
          mended.faults().stream()
              .filter(f -> f.mended(was, is) > 0)
              .max(Comparator.comparingDouble(f -> f.mended(was, is)));
      boolean isBest = best.filter(b -> -b.share() >= gain).isEmpty();
      if (gain >= LEAST_GAIN && fault.isPresent() && isBest) {
        best = Optional.of(new Suiting(Sort.HELPS, -gain, fault.get().said(was, is)));
      }
    }
    return best;
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
