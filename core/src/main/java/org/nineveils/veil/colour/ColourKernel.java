package org.nineveils.veil.colour;

import java.util.Arrays;
import java.util.List;
import org.nineveils.colour.Gamut;
import org.nineveils.colour.Oklab;
import org.nineveils.colour.SrgbLoops;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Band;
import org.nineveils.veil.HueShares;
import org.nineveils.veil.Kernel;

/** Into Oklab, turn, scale, lighten, and back. */
final class ColourKernel implements Kernel {
  private static final float NEUTRAL = 1e-6f;

  /** Chroma from which vibrance leaves a colour alone. */
  private static final float STRONG = 0.25f;

  /** By how much vibrance spares orange, where skin lies. */
  private static final float SKIN = 0.5f;

  private static final int ORANGE = 1;

  /** Room for one thread: planes that bands do not have. */
  private static final ThreadLocal<float[][]> ROOM =
      ThreadLocal.withInitial(() -> new float[6][Band.CAPACITY]);

  private final float turn;
  private final float scale;
  private final float lighten;
  private final float vibrance;
  private final float[] bandTurns;
  private final float[] bandScales;
  private final float[] bandLightens;
  private final float[] orange = new float[8];

  ColourKernel(SettingValues values) {
    double gentle = values.share(Colour.GENTLE);
    turn = (float) (Math.PI * Colour.response(values.number(Colour.HUE) / 180, gentle));
    scale = (float) (1 + Colour.response(values.share(Colour.SATURATION), gentle));
    lighten = (float) Colour.response(values.share(Colour.LIGHTNESS), gentle);
    vibrance = (float) values.share(Colour.VIBRANCE);
    bandTurns = weights(values, Colour.BAND_HUES, Math.PI / 180);
    bandScales = weights(values, Colour.BAND_SATURATIONS, 0.01);
    bandLightens = weights(values, Colour.BAND_LIGHTNESSES, 0.01);
    orange[ORANGE] = 1;
  }

  private static float[] weights(SettingValues values, List<NumberSetting> bands, double unit) {
    float[] w = new float[8];
    for (int i = 0; i < 8; i++) {
      w[i] = (float) (values.number(bands.get(i)) * unit);
    }
    return w;
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    float[][] room = ROOM.get();
    float[][] work = {room[0], room[1], room[2]};
    float[] angle = room[3];
    float[] factor = room[4];
    float[] light = room[5];
    amounts(in, angle, factor, light, n, work);
    SrgbLoops.decode(in.r, out.r, n);
    SrgbLoops.decode(in.g, out.g, n);
    SrgbLoops.decode(in.b, out.b, n);
    Oklab.fromLinear(out.r, out.g, out.b, work, n);
    if (vibrance != 0) {
      enliven(in, out, factor, n, work);
    }
    rotate(out.g, out.b, angle, work, n);
    lighten(out.r, factor, light, n);
    multiply(out.g, factor, n);
    multiply(out.b, factor, n);
    float[][] lab = {angle, factor, light}; // no longer needed for what they are
    System.arraycopy(out.r, 0, lab[0], 0, n);
    System.arraycopy(out.g, 0, lab[1], 0, n);
    System.arraycopy(out.b, 0, lab[2], 0, n);
    Oklab.toLinear(out.r, out.g, out.b, work, n);
    Gamut.bringIn(lab, out.r, out.g, out.b, n);
    SrgbLoops.encode(out.r, work[0], n);
    SrgbLoops.encode(out.g, work[1], n);
    SrgbLoops.encode(out.b, work[2], n);
    System.arraycopy(work[0], 0, out.r, 0, n);
    System.arraycopy(work[1], 0, out.g, 0, n);
    System.arraycopy(work[2], 0, out.b, 0, n);
  }

  /** Angle, factor on chroma and lightening of every pixel, from the settings for all and bands. */
  private void amounts(
      Band in, float[] angle, float[] factor, float[] light, int n, float[][] work) {
    float[] perChroma = work[2];
    inverseChroma(in, perChroma, n);
    sum(in, bandTurns, perChroma, angle, n, work);
    sum(in, bandScales, perChroma, factor, n, work);
    sum(in, bandLightens, null, light, n, work);
    for (int i = 0; i < n; i++) {
      angle[i] += turn;
    }
    for (int i = 0; i < n; i++) {
      factor[i] = (factor[i] + 1) * scale;
    }
    for (int i = 0; i < n; i++) {
      light[i] = Math.min(1f, Math.max(-1f, light[i] + lighten));
    }
  }

  private static void inverseChroma(Band in, float[] out, int n) {
    float[] r = in.r;
    float[] g = in.g;
    float[] b = in.b;
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(r[i], Math.max(g[i], b[i])) - Math.min(r[i], Math.min(g[i], b[i]));
    }
    for (int i = 0; i < n; i++) {
      out[i] = 1 / Math.max(out[i], NEUTRAL);
    }
  }

  /** Σ weight · share, per unit of chroma where {@code perChroma} is given. */
  private static void sum(
      Band in, float[] weights, float[] perChroma, float[] out, int n, float[][] work) {
    Arrays.fill(out, 0, n, 0f);
    if (Arrays.equals(weights, new float[8])) {
      return;
    }
    HueShares.add(in, weights, out, n, work[0], work[1]);
    if (perChroma != null) {
      multiply(out, perChroma, n);
    }
  }

  private void enliven(Band in, Band lab, float[] factor, int n, float[][] work) {
    float[] skin = work[2];
    inverseChroma(in, skin, n);
    float[] share = lab.t;
    sum(in, orange, skin, share, n, work);
    float[] weak = work[0];
    for (int i = 0; i < n; i++) {
      weak[i] = (float) Math.sqrt(lab.g[i] * lab.g[i] + lab.b[i] * lab.b[i]);
    }
    for (int i = 0; i < n; i++) {
      weak[i] = Math.max(0f, 1 - weak[i] * (1 / STRONG));
    }
    float v = vibrance;
    for (int i = 0; i < n; i++) {
      factor[i] *= 1 + v * weak[i] * weak[i] * (1 - SKIN * share[i]);
    }
  }

  /*
   * How: sine and cosine by Taylor polynomials of half the angle. A hue turns by at most 180° for all
   * and 60° for its band, so the half stays below 2.1, where the polynomials are within 2e-5; the
   * double-angle formulas make up for the half.
   */
  private static void rotate(float[] a, float[] b, float[] angle, float[][] work, int n) {
    float[] sine = work[0];
    float[] cosine = work[1];
    for (int i = 0; i < n; i++) {
      float h = angle[i] * 0.5f;
      float q = h * h;
      sine[i] =
          h
              * (1
                  + q
                      * (-1 / 6f
                          + q * (1 / 120f + q * (-1 / 5040f + q * (1 / 362880f - q / 39916800f)))));
    }
    for (int i = 0; i < n; i++) {
      float q = angle[i] * angle[i] * 0.25f;
      cosine[i] =
          1 + q * (-0.5f + q * (1 / 24f + q * (-1 / 720f + q * (1 / 40320f - q / 3628800f))));
    }
    for (int i = 0; i < n; i++) {
      float s = sine[i];
      sine[i] = 2 * s * cosine[i];
      cosine[i] = 1 - 2 * s * s;
    }
    float[] turned = work[2];
    for (int i = 0; i < n; i++) {
      turned[i] = a[i] * cosine[i] - b[i] * sine[i];
    }
    for (int i = 0; i < n; i++) {
      b[i] = a[i] * sine[i] + b[i] * cosine[i];
    }
    System.arraycopy(turned, 0, a, 0, n);
  }

  /** Lightness towards white or black; the colour goes along. */
  private static void lighten(float[] l, float[] factor, float[] light, int n) {
    for (int i = 0; i < n; i++) {
      float up = Math.max(0f, light[i]);
      float down = Math.min(0f, light[i]);
      l[i] = (l[i] + (1 - l[i]) * up) * (1 + down);
    }
    for (int i = 0; i < n; i++) {
      factor[i] = Math.max(0f, factor[i]) * (1 - Math.abs(light[i]));
    }
  }

  private static void multiply(float[] values, float[] by, int n) {
    for (int i = 0; i < n; i++) {
      values[i] *= by[i];
    }
  }
}
