package org.nineveils.colour;

/**
 * Brings colours that sRGB cannot show to its border, at the lightness and hue that they have in
 * Oklab: chroma alone gives way.
 *
 * <p>Source: CSS Color Module Level 4, section 13.2 (gamut mapping by reducing chroma in a
 * perceptual space), without its local clipping. The border is worked out once ({@link GamutEdge})
 * and read by straight lines between {@value #LIGHTS} lightnesses and {@value #HUES} hues: within
 * 0.0001 of chroma for 99 of 100 strong colours, 0.03 at the sharp corners of blue and yellow (a
 * test holds it to that); what is left beyond the border is cut off when the colour is encoded.
 */
public final class Gamut {
  /** Light that a channel may stray out of 0…1; in the dark a little light is much hue. */
  private static final float TINY = 1e-6f;

  private static final int LIGHTS = 256;
  private static final int HUES = 1024;

  /** Values of a row of the table: one more at the end, so that the last hue has a neighbour. */
  private static final int ROW = HUES + 2;

  /** Least |a| + |b| that is told from none. */
  private static final float LEAST = 1e-20f;

  private static final float STEEP = 1e30f;

  /** Adding it makes a float whole, and its bits a place; see {@code ToneTable}. */
  private static final float WHOLE = 0x1.8p23f;

  private static final float[] BORDER = GamutEdge.table(LIGHTS, HUES);

  private Gamut() {}

  /**
   * Brings n colours in; those that are within stay as they are.
   *
   * @param lab the colours in Oklab: lightness 0…1, a, b; overwritten
   * @param r linear red of the same colours, changed where they are out of gamut
   * @param g linear green
   * @param b linear blue
   * @param work three planes of scratch
   */
  public static void bringIn(
      float[][] lab, float[] r, float[] g, float[] b, float[][] work, int n) {
    float[] room = work[0];
    for (int i = 0; i < n; i++) {
      float high = Math.max(r[i], Math.max(g[i], b[i])) - 1;
      float low = Math.min(r[i], Math.min(g[i], b[i]));
      room[i] = TINY + Math.min(low, -high);
    }
    int[] out = new int[n];
    int count = 0;
    for (int i = 0; i < n; i++) {
      out[count] = i;
      count += Float.floatToRawIntBits(room[i]) >>> 31; // the sign; no branch
    }
    if (count == 0) {
      return;
    }
    gather(lab[0], out, count);
    gather(lab[1], out, count);
    gather(lab[2], out, count);
    toBorder(lab[0], lab[1], lab[2], work, count);
    Oklab.toLinear(lab[0], lab[1], lab[2], work, count);
    for (int k = 0; k < count; k++) {
      r[out[k]] = lab[0][k];
      g[out[k]] = lab[1][k];
      b[out[k]] = lab[2][k];
    }
  }

  private static void gather(float[] values, int[] at, int n) {
    for (int k = 0; k < n; k++) {
      values[k] = values[at[k]];
    }
  }

  /**
   * Takes chroma back to the border.
   *
   * @param l lightness 0…1
   * @param a green to red, changed
   * @param b blue to yellow, changed
   * @param work three planes of scratch
   */
  static void toBorder(float[] l, float[] a, float[] b, float[][] work, int n) {
    float[] place = work[0];
    float[] along = work[1];
    float[] most = work[2];
    for (int i = 0; i < n; i++) {
      float side = Math.min(1f, Math.max(-1f, (b[i] + LEAST) * STEEP));
      float chroma = Math.max(LEAST, Math.abs(a[i]) + Math.abs(b[i]));
      along[i] = (2 - side * (1 + a[i] / chroma)) * (HUES / 4f);
    }
    for (int i = 0; i < n; i++) {
      float hue = (along[i] - 0.5f + WHOLE) - WHOLE;
      float up = Math.min(1f, Math.max(0f, l[i])) * LIGHTS;
      float row = (up - 0.5f + WHOLE) - WHOLE;
      place[i] = row * ROW + hue + WHOLE;
      along[i] -= hue;
      most[i] = up - row;
    }
    read(place, along, most, n);
    for (int i = 0; i < n; i++) {
      float chroma = Math.max(LEAST, Math.abs(a[i]) + Math.abs(b[i]));
      float share = Math.min(1f, most[i] * l[i] / chroma);
      a[i] *= share;
      b[i] *= share;
    }
  }

  /**
   * Reads the table.
   *
   * @param place of the value to the lower left, as the bits of a float that was made whole
   * @param along share of the way to the next hue
   * @param up share of the way to the next lightness; receives |a| + |b| at the border to lightness
   */
  private static void read(float[] place, float[] along, float[] up, int n) {
    float[] border = BORDER;
    int mask = border.length - 1;
    for (int i = 0; i < n; i++) {
      int at = Float.floatToRawIntBits(place[i]) & mask;
      float s = along[i];
      float lower = border[at & mask];
      lower += (border[(at + 1) & mask] - lower) * s;
      float upper = border[(at + ROW) & mask];
      upper += (border[(at + ROW + 1) & mask] - upper) * s;
      up[i] = lower + (upper - lower) * up[i];
    }
  }
}
