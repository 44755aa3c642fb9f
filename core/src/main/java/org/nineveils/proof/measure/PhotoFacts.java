package org.nineveils.proof.measure;

import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.colour.Lab;
import org.nineveils.fact.Facts;
import org.nineveils.fact.Ground;
import org.nineveils.picture.Picture;
import org.nineveils.region.Regions;

/**
 * What a plain photo is: its facts, and what somebody has marked on it.
 *
 * @param skin median colour of the skin; null where none is marked
 * @param fur whether fur is marked
 * @param values by id of the {@link org.nineveils.fact.Fact}; those that are not there are left out
 */
public record PhotoFacts(Lab skin, boolean fur, Map<String, Double> values) {
  /** Counted up whenever other facts are found than before: kept ones are then stale. */
  public static final int BUILD = 1 + Facts.BUILD;

  /** Facts that cost next to nothing. */
  private static final Set<String> QUICK =
      Set.of("lightness", "near-black", "near-white", "warmth", "tint");

  public PhotoFacts {
    values = Map.copyOf(values);
  }

  /** Hues of skin in light without a cast, degrees; of the test photos' 41 to 71. */
  private static final double LEAST_HUE = 25;

  private static final double MOST_HUE = 80;

  /** Those that a picture at the size of proofs tells at once. */
  public static PhotoFacts of(Plain plain) {
    return of(plain, Facts.of(Ground.of(plain.picture()), QUICK));
  }

  /**
   * All of them.
   *
   * @param photo at its own size
   */
  public static PhotoFacts of(Plain plain, Picture photo) {
    return of(plain, Facts.of(Ground.of(photo)));
  }

  private static PhotoFacts of(Plain plain, Map<String, Double> values) {
    Seen seen = plain.seen();
    Lab skin = plain.inside(Regions.SKIN).map(in -> seen.median(Regions.SKIN, in)).orElse(null);
    return new PhotoFacts(skin, plain.members(Regions.FUR).isPresent(), values);
  }

  /** Median L* of the photo. */
  public double lightness() {
    return values.get("lightness");
  }

  /** Share of pixels of which all channels lie in the lowest eight of 256 codes, 0…1. */
  public double nearBlack() {
    return values.get("near-black");
  }

  /** Share of those in the topmost eight. */
  public double nearWhite() {
    return values.get("near-white");
  }

  /**
   * Mean a*, b* of near-neutral tones as a colour of lightness 0; null where there are hardly any.
   */
  public Lab neutral() {
    Double warmth = values.get("warmth");
    return warmth == null ? null : new Lab(0, values.get("tint"), warmth);
  }

  /**
   * How deep the skin is; empty where none is marked, and where it has a hue that skin has only
   * under a cast: then its typology angle means nothing.
   */
  public Optional<SkinDepth> depth() {
    return skin == null || hasCast() ? Optional.empty() : Optional.of(SkinDepth.of(skin));
  }

  /**
   * The facts as a point, by which photos are told apart: lightness, skin and neutral tones in
   * units of L*a*b*, shares near black and white in per cent. Where there is no skin it is taken to
   * be of the photo's own lightness, without colour.
   */
  public double[] point() {
    Lab tone = skin == null ? new Lab(lightness(), 0, 0) : skin;
    Lab grey = neutral() == null ? new Lab(0, 0, 0) : neutral();
    return new double[] {
      lightness(),
      tone.l(),
      tone.a(),
      tone.b(),
      grey.a(),
      grey.b(),
      100 * nearBlack(),
      100 * nearWhite()
    };
  }

  /** Whether the skin's hue tells of a colour cast. */
  public boolean hasCast() {
    if (skin == null) {
      return false;
    }
    double hue = Math.toDegrees(Math.atan2(skin.b(), skin.a()));
    return hue < LEAST_HUE || hue > MOST_HUE;
  }
}
