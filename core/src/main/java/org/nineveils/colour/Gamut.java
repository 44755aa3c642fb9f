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
    float[] chroma = work[0];
    float[] round = work[1];
    float[] most = work[2];
    for (int i = 0; i < n; i++) {
      chroma[i] = Math.max(LEAST, Math.abs(a[i]) + Math.abs(b[i]));
    }
    for (int i = 0; i < n; i++) {
      float side = Math.min(1f, Math.max(-1f, (b[i] + LEAST) * STEEP));
      round[i] = (2 - side * (1 + a[i] / chroma[i])) * (HUES / 4f);
    }
    for (int i = 0; i < n; i++) {
      most[i] = Math.min(1f, Math.max(0f, l[i]));
    }
    read(most, round, n);
    for (int i = 0; i < n; i++) {
      float share = Math.min(1f, most[i] * l[i] / chroma[i]);
      a[i] *= share;
      b[i] *= share;
    }
  }

  /**
   * Reads the table.
   *
   * @param l lightness 0…1, receives |a| + |b| at the border to lightness
   * @param round how far round the hue lies along |a| + |b| = 1, in columns
   */
  private static void read(float[] l, float[] round, int n) {
    float[] border = BORDER;
    for (int i = 0; i < n; i++) {
      float up = l[i] * LIGHTS;
      int row = (int) up;
      int hue = (int) round[i];
      float s = round[i] - hue;
      int at = row * ROW + hue;
      float lower = border[at] + (border[at + 1] - border[at]) * s;
      float upper = border[at + ROW] + (border[at + ROW + 1] - border[at + ROW]) * s;
      l[i] = lower + (upper - lower) * (up - row);
    }
  }
}
