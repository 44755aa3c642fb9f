package org.nineveils.proof.measure;

import org.nineveils.colour.Lab;

/**
 * How deep a skin colour is, by its individual typology angle: ITA = arctan((L* − 50) / b*), in
 * degrees.
 *
 * <p>Sources: A. Chardon, I. Cretois, C. Hourseau, "Skin colour typology and suntanning pathways",
 * International Journal of Cosmetic Science 13 (1991); S. Del Bino, F. Bernerd, "Variations in skin
 * colour and the biological consequences of ultraviolet radiation exposure", British Journal of
 * Dermatology 169 (2013), which has the six classes. Their bounds, 55, 41, 28, 10 and −30, are from
 * memory.
 */
public enum SkinDepth {
  VERY_LIGHT("very light", 55),
  LIGHT("light", 41),
  INTERMEDIATE("intermediate", 28),
  TAN("tan", 10),
  BROWN("brown", -30),
  DARK("dark", Double.NEGATIVE_INFINITY);

  private final String word;
  private final double above;

  SkinDepth(String word, double above) {
    this.word = word;
    this.above = above;
  }

  /** Name of the class, as published. */
  public String word() {
    return word;
  }

  /** Individual typology angle of a colour, −90…90 degrees for b* above 0. */
  public static double angle(Lab skin) {
    return Math.toDegrees(Math.atan2(skin.l() - 50, skin.b()));
  }

  /** The class of a colour. */
  public static SkinDepth of(Lab skin) {
    double angle = angle(skin);
    for (SkinDepth depth : values()) {
      if (angle > depth.above) {
        return depth;
      }
    }
    return DARK;
  }
}
