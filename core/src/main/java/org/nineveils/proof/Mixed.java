package org.nineveils.proof;

import org.nineveils.picture.Picture;

/** An effect at some opacity, made of what it is at full opacity. */
public final class Mixed {
  private Mixed() {}

  /**
   * plain + (full − plain) · opacity, on encoded values, as a bundle is mixed with what is below.
   *
   * @param full of the size of the plain picture
   * @param opacity 0…1
   */
  public static Picture of(Picture plain, Picture full, double opacity) {
    if (opacity == 1) {
      return full;
    }
    float share = (float) opacity;
    return new Picture(
        plain.width(),
        plain.height(),
        mixed(plain.r(), full.r(), share),
        mixed(plain.g(), full.g(), share),
        mixed(plain.b(), full.b(), share));
  }

  private static float[] mixed(float[] from, float[] to, float share) {
    float[] out = new float[from.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = from[i] + (to[i] - from[i]) * share;
    }
    return out;
  }
}
