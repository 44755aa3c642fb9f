package org.nineveils.veil.colour;

import java.util.Arrays;
import java.util.List;
import org.nineveils.colour.Gamut;
import org.nineveils.colour.Oklab;
import org.nineveils.colour.SrgbLoops;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.HueStops;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.Scratch;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.SettingValues;

/** Into Oklab, turn, scale, lighten, and back. */
final class ColourKernel implements Kernel {
  /** Chroma from which vibrance leaves a colour alone. */
  private static final float STRONG = 0.25f;

  /** By how much vibrance spares amber, where skin lies. */
  private static final float SKIN = 0.5f;

  /** Room for one thread: planes that bands do not have. */
  private static final Scratch ROOM = new Scratch(6 + HueStops.PLANES, 0);

  private final float turn;
  private final float scale;
  private final float lighten;
  private final float vibrance;
  private final float[] bandTurns;
  private final float[] bandScales;
  private final float[] bandLightens;
  private final float[] amber = new float[8];
  private final boolean divided;

  ColourKernel(SettingValues values) {
    double gentle = values.share(Colour.GENTLE);
    turn = (float) (Math.PI * Colour.response(values.number(Colour.HUE) / 180, gentle));
    scale = (float) (1 + Colour.response(values.share(Colour.SATURATION), gentle));
    lighten = (float) Colour.response(values.share(Colour.LIGHTNESS), gentle);
    vibrance = (float) values.share(Colour.VIBRANCE);
    bandTurns = weights(values, Colour.BAND_HUES, Math.PI / 180);
    bandScales = weights(values, Colour.BAND_SATURATIONS, 0.01);
    bandLightens = weights(values, Colour.BAND_LIGHTNESSES, 0.01);
    amber[HueStops.AMBER] = 1;
    divided = vibrance != 0 || isAny(bandTurns) || isAny(bandScales) || isAny(bandLightens);
  }

  private static boolean isAny(float[] weights) {
    return !Arrays.equals(weights, new float[8]);
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
    float[][] room = ROOM.planes();
    float[][] work = {room[0], room[1], room[2]};
    float[] angle = room[3];
    float[] factor = room[4];
    float[] light = room[5];
    float[][] stops = Arrays.copyOfRange(room, 6, 6 + HueStops.PLANES);
    HueStops.toOklab(in, out, work, n);
    if (divided) {
      HueStops.prepare(out.g, out.b, stops, n);
    }
    turns(stops, angle, n);
    scales(stops, factor, n);
    lightens(in, stops, light, work[0], n);
    if (vibrance != 0) {
      enliven(out, factor, n, stops, work[0]);
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
    Gamut.bringIn(lab, out.r, out.g, out.b, work, n);
    SrgbLoops.encode(out.r, work[0], n);
    SrgbLoops.encode(out.g, work[1], n);
    SrgbLoops.encode(out.b, work[2], n);
    System.arraycopy(work[0], 0, out.r, 0, n);
    System.arraycopy(work[1], 0, out.g, 0, n);
    System.arraycopy(work[2], 0, out.b, 0, n);
  }

  /** By what angle every pixel is turned, for all colours and for its hue. */
  private void turns(float[][] stops, float[] angle, int n) {
    sum(stops, bandTurns, angle, n);
    for (int i = 0; i < n; i++) {
      angle[i] += turn;
    }
  }

  /** By what its chroma is multiplied. */
  private void scales(float[][] stops, float[] factor, int n) {
    sum(stops, bandScales, factor, n);
    for (int i = 0; i < n; i++) {
      factor[i] = (factor[i] + 1) * scale;
    }
  }

  /** How far it goes towards white, or below 0 black; for its hue by how strong the colour is. */
  private void lightens(Band in, float[][] stops, float[] light, float[] strength, int n) {
    sum(stops, bandLightens, light, n);
    if (isAny(bandLightens)) {
      HueStops.strength(in, strength, n);
      multiply(light, strength, n);
    }
    for (int i = 0; i < n; i++) {
      light[i] = Math.min(1f, Math.max(-1f, light[i] + lighten));
    }
  }

  private static void sum(float[][] stops, float[] weights, float[] out, int n) {
    if (isAny(weights)) {
      HueStops.sum(stops, weights, out, n);
    } else {
      Arrays.fill(out, 0, n, 0f);
    }
  }

  private void enliven(Band lab, float[] factor, int n, float[][] stops, float[] weak) {
    float[] share = lab.t;
    HueStops.sum(stops, amber, share, n);
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
