package org.nineveils.veil;

import java.util.List;

/**
 * Divides the chroma of a pixel (max − min of its encoded channels) among eight hues.
 *
 * <p>Chroma is the sum of one primary part, max(0, r − max(g, b)) and its like, and one secondary
 * part, max(0, min(r, g) − b) and its like: straight ramps between the six hues 0°, 60° … 300°.
 * Orange (30°) and purple (270°) lie half-way between two of them and take twice the smaller of the
 * two, which the two give up. The eight shares therefore overlap smoothly and sum to the chroma;
 * neutral pixels have none. No branch, no division, no hue angle.
 */
public final class HueShares {
  /** The eight hues: red, orange, yellow, green, aqua, blue, purple, magenta. */
  public static final List<String> NAMES =
      List.of("Red", "Orange", "Yellow", "Green", "Aqua", "Blue", "Purple", "Magenta");

  private HueShares() {}

  /**
   * Adds Σ weight · share to every pixel.
   *
   * @param in encoded 0…1; not changed
   * @param weights eight, in the order of {@link #NAMES}
   * @param sum receives the sums on top of what it holds
   * @param n how many pixels
   * @param one scratch
   * @param two scratch
   */
  public static void add(Band in, float[] weights, float[] sum, int n, float[] one, float[] two) {
    primary(in.r, in.g, in.b, one, n);
    secondary(in.r, in.g, in.b, two, n);
    addPair(one, two, weights[0], weights[1], weights[2], sum, n);
    primary(in.b, in.r, in.g, one, n);
    secondary(in.b, in.r, in.g, two, n);
    addPair(one, two, weights[5], weights[6], weights[7], sum, n);
    primary(in.g, in.r, in.b, one, n);
    addPart(one, weights[3], sum, n);
    secondary(in.g, in.b, in.r, one, n);
    addPart(one, weights[4], sum, n);
  }

  /** How far one primary stands above both others. */
  public static void primary(float[] own, float[] other, float[] third, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(0f, own[i] - Math.max(other[i], third[i]));
    }
  }

  /** How far two primaries stand together above the third. */
  public static void secondary(float[] one, float[] two, float[] third, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(0f, Math.min(one[i], two[i]) - third[i]);
    }
  }

  private static void addPair(
      float[] p, float[] s, float first, float between, float last, float[] sum, int n) {
    addPart(p, first, sum, n);
    addPart(s, last, sum, n);
    float both = 2 * between - first - last;
    for (int i = 0; i < n; i++) {
      sum[i] += both * Math.min(p[i], s[i]);
    }
  }

  private static void addPart(float[] part, float weight, float[] sum, int n) {
    for (int i = 0; i < n; i++) {
      sum[i] += weight * part[i];
    }
  }
}
