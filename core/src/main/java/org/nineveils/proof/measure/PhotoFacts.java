package org.nineveils.proof.measure;

import java.util.Optional;
import org.nineveils.colour.Lab;
import org.nineveils.picture.Picture;
import org.nineveils.region.Regions;

/**
 * What a plain photo is, as measured.
 *
 * @param skin median colour of the skin; null where none is marked
 * @param fur whether fur is marked
 * @param lightness median L* of the photo
 * @param nearBlack share of pixels of which all channels lie in the lowest eight of 256 codes, 0…1
 * @param nearWhite share of those in the topmost eight
 * @param neutral mean a*, b* of near-neutral tones as a colour of lightness 0; null where there are
 *     hardly any
 */
public record PhotoFacts(
    Lab skin, boolean fur, double lightness, double nearBlack, double nearWhite, Lab neutral) {
  /** Counted up whenever other facts are found than before: kept ones are then stale. */
  public static final int BUILD = 1;

  /** Hues of skin in light without a cast, degrees; of the test photos' 41 to 71. */
  private static final double LEAST_HUE = 25;

  private static final double MOST_HUE = 80;

  /** Chroma below which a tone is near neutral. */
  private static final double NEUTRAL = 10;

  private static final double FEWEST = 0.01;
  private static final float BLACK = 7.5f / 255;
  private static final float WHITE = 247.5f / 255;

  /** Takes them. */
  public static PhotoFacts of(Plain plain) {
    Seen seen = plain.seen();
    float[][] lab = seen.lab();
    Lab skin = plain.inside(Regions.SKIN).map(in -> seen.median(Regions.SKIN, in)).orElse(null);
    Picture p = seen.picture();
    double pixels = p.area().pixels();
    return new PhotoFacts(
        skin,
        plain.members(Regions.FUR).isPresent(),
        Medians.of(lab).l(),
        count(p, -1, BLACK) / pixels,
        count(p, WHITE, 2) / pixels,
        neutral(lab));
  }

  private static int count(Picture p, float from, float to) {
    int n = 0;
    for (int i = 0; i < p.r().length; i++) {
      n += isIn(p.r()[i], from, to) && isIn(p.g()[i], from, to) && isIn(p.b()[i], from, to) ? 1 : 0;
    }
    return n;
  }

  private static boolean isIn(float v, float from, float to) {
    return v >= from && v <= to;
  }

  private static Lab neutral(float[][] lab) {
    double a = 0;
    double b = 0;
    int n = 0;
    for (int i = 0; i < lab[0].length; i++) {
      if (Math.hypot(lab[1][i], lab[2][i]) < NEUTRAL) {
        a += lab[1][i];
        b += lab[2][i];
        n++;
      }
    }
    return n < FEWEST * lab[0].length ? null : new Lab(0, a / n, b / n);
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
    Lab tone = skin == null ? new Lab(lightness, 0, 0) : skin;
    Lab grey = neutral == null ? new Lab(0, 0, 0) : neutral;
    return new double[] {
      lightness, tone.l(), tone.a(), tone.b(), grey.a(), grey.b(), 100 * nearBlack, 100 * nearWhite
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
