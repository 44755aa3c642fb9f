package org.nineveils.colour;

/**
 * Brings colours that sRGB cannot show to its border, at the lightness and hue that they have in
 * Oklab: chroma alone gives way.
 *
 * <p>Source: CSS Color Module Level 4, section 13.2 (gamut mapping by reducing chroma in a
 * perceptual space), without its local clipping. The border is worked out once ({@link GamutEdge})
 * and read by straight lines between {@value #LIGHTS} lightnesses and {@value #HUES} hues: within
 * 0.0001 of chroma for 99 of 100 strong colours; where it is sharp, as at the corners of blue and
 * yellow, it is worked out for each colour (a test holds it to that); what is left beyond the
 * border is cut off when the colour is encoded.
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

  /**
   * Share of its largest channel by which a colour lies out of range from which it is brought in
   * wholly; nearer to the border it is cut off in part, so that what a float's error has put there
   * stays. Beside pure blue the way from grey leaves the range and comes back, so that the border
   * by chroma lies far from the corner: there it is more.
   */
  private static final float NEAR = 0.001f;

  private static final float NEAR_BLUE = 0.02f;

  /** a / b of pure blue in Oklab, and how far about it counts as near. */
  private static final float BLUE = 0.1042f;

  private static final float BLUE_WIDTH = 0.12f;

  /** Adding it makes a float whole, and its bits a place; see {@code ToneTable}. */
  private static final float WHOLE = 0x1.8p23f;

  private static final float[] BORDER = GamutEdge.table(LIGHTS, HUES);

  /** Bend of the border, of three values in a row, from which straight lines are no good. */
  private static final float SHARP = 0.004f;

  /** Places of the table about which the border is sharp: there it is worked out. */
  private static final boolean[] CORNERS = corners();

  private static boolean[] corners() {
    boolean[] out = new boolean[BORDER.length];
    for (int row = 0; row <= LIGHTS; row++) {
      for (int hue = 0; hue <= HUES; hue++) {
        int at = row * ROW + hue;
        int before = hue == 0 ? at + HUES - 1 : at - 1;
        boolean along = bends(BORDER[before], BORDER[at], BORDER[at + 1]);
        boolean up = row > 0 && bends(BORDER[at - ROW], BORDER[at], BORDER[at + ROW]);
        if (along || up) {
          mark(out, row, hue);
        }
      }
    }
    return out;
  }

  private static boolean bends(float before, float at, float after) {
    return Math.abs(before - 2 * at + after) > SHARP;
  }

  /** The cells about a place. */
  private static void mark(boolean[] out, int row, int hue) {
    for (int y = Math.max(0, row - 1); y <= row; y++) {
      out[y * ROW + hue] = true;
      out[y * ROW + (hue == 0 ? HUES - 1 : hue - 1)] = true;
    }
  }

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
    float[] blue = new float[count];
    for (int k = 0; k < count; k++) {
      blue[k] = blueness(lab[1][k], lab[2][k]);
    }
    Oklab.toLinear(lab[0], lab[1], lab[2], work, count);
    for (int k = 0; k < count; k++) {
      int i = out[k];
      float share = far(r[i], g[i], b[i], blue[k]);
      r[i] = within(r[i]) + (lab[0][k] - within(r[i])) * share;
      g[i] = within(g[i]) + (lab[1][k] - within(g[i])) * share;
      b[i] = within(b[i]) + (lab[2][k] - within(b[i])) * share;
    }
  }

  /**
   * How far out a colour lies, from 0 at the border to 1 where it is brought in wholly.
   *
   * @param blue how near to the hue of pure blue, 0…1
   */
  private static float far(float r, float g, float b, float blue) {
    float high = Math.max(r, Math.max(g, b));
    float beyond = Math.max(high - 1, -Math.min(r, Math.min(g, b)));
    float from = NEAR + (NEAR_BLUE - NEAR) * blue;
    return Math.min(1f, beyond / (from * Math.max(high, LEAST)));
  }

  /** How near a hue lies to that of pure blue: 1 there, 0 some seven degrees away. */
  private static float blueness(float a, float b) {
    return b < 0 ? Math.max(0f, 1 - Math.abs(a / b - BLUE) / BLUE_WIDTH) : 0;
  }

  private static float within(float v) {
    return Math.min(1f, Math.max(0f, v));
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
      if (CORNERS[Float.floatToRawIntBits(place[i]) & (BORDER.length - 1)]) {
        float light = Math.min(0.999999f, Math.max(0f, l[i]));
        share = (float) GamutEdge.share(light, a[i], b[i], 1);
      }
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
