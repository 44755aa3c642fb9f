package org.nineveils.veil.tint;

import java.util.Arrays;
import org.nineveils.colour.Hsl;
import org.nineveils.colour.Luma;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.HueStops;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.Scratch;
import org.nineveils.setting.SettingValues;

/** Monochrome, colourise, two-way tint; each is left out at amount 0. */
final class TintKernel implements Kernel {
  /** Room for one thread: what the division among hues needs. */
  private static final Scratch ROOM = new Scratch(HueStops.PLANES + 4, 0);

  private final float mono;
  private final float[] w = new float[8];
  private final boolean weighted;
  private final float colour;
  private final float lift;
  private final float[] hue;
  private final TwoWayTint twoWay;

  TintKernel(SettingValues values) {
    mono = (float) values.share(Tint.MONOCHROME);
    for (int i = 0; i < 8; i++) {
      w[i] = (float) values.share(Tint.WEIGHTS.get(i));
    }
    weighted = !Arrays.equals(w, new float[8]);
    colour = (float) values.share(Tint.COLOURISE);
    lift = (float) values.share(Tint.LIGHTNESS);
    twoWay = TwoWayTint.of(values);
    hue = offsets(values.number(Tint.HUE), values.share(Tint.SATURATION));
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    Band from = in; // then out: every part works in place too
    if (mono != 0) {
      monochrome(from, out, n, spare);
      from = out;
    }
    if (colour != 0) {
      colourise(from, out, n, spare.t);
      from = out;
    }
    if (twoWay != null) {
      twoWay.run(from, out, n, spare.t, spare.r);
      from = out;
    }
    if (from == in) {
      out.copyFrom(in, n);
    }
  }

  /**
   * How far red, green and blue stand from lightness, per unit of 1 − |2L − 1|: HSL, CSS Color 4.
   */
  static float[] offsets(double degrees, double saturation) {
    float[] k = new float[3];
    for (int c = 0; c < 3; c++) {
      k[c] = (float) (Hsl.offset(degrees, c) * saturation);
    }
    return k;
  }

  /** Grey by weights into {@code out}; all of {@code work} is overwritten. */
  private void monochrome(Band in, Band out, int n, Band work) {
    float[] grey = work.t;
    Luma.run(in.r, in.g, in.b, grey, n);
    if (weighted) {
      weigh(in, grey, n, work);
    }
    mix(in.r, grey, out.r, n);
    mix(in.g, grey, out.g, n);
    mix(in.b, grey, out.b, n);
  }

  /** Adds strength · Σ weight · share. */
  private void weigh(Band in, float[] grey, int n, Band lab) {
    float[][] room = ROOM.planes();
    float[][] stops = Arrays.copyOf(room, HueStops.PLANES);
    float[][] work = Arrays.copyOfRange(room, HueStops.PLANES, HueStops.PLANES + 3);
    float[] sum = room[HueStops.PLANES + 3];
    HueStops.toOklab(in, lab, work, n);
    HueStops.prepare(lab.g, lab.b, stops, n);
    HueStops.sum(stops, w, sum, n);
    float[] strength = work[0];
    HueStops.strength(in, strength, n);
    for (int i = 0; i < n; i++) {
      grey[i] += strength[i] * sum[i];
    }
  }

  private void mix(float[] in, float[] grey, float[] out, int n) {
    float share = mono;
    for (int i = 0; i < n; i++) {
      float v = Math.min(1f, Math.max(0f, grey[i]));
      out[i] = in[i] + (v - in[i]) * share;
    }
  }

  private void colourise(Band in, Band out, int n, float[] lightness) {
    float[] l = lightness;
    lightness(in, l, n);
    tone(in.r, l, hue[0], out.r, n);
    tone(in.g, l, hue[1], out.g, n);
    tone(in.b, l, hue[2], out.b, n);
  }

  private void lightness(Band in, float[] l, int n) {
    float up = Math.max(0f, lift);
    float down = 1 + Math.min(0f, lift);
    middle(in.r, in.g, in.b, l, n);
    for (int i = 0; i < n; i++) {
      l[i] = (l[i] + (1 - l[i]) * up) * down;
    }
  }

  /** Lightness of HSL: half-way between the largest and the smallest channel. */
  static void middle(float[] r, float[] g, float[] b, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(r[i], Math.max(g[i], b[i])) * 0.5f;
    }
    for (int i = 0; i < n; i++) {
      out[i] += Math.min(r[i], Math.min(g[i], b[i])) * 0.5f;
    }
  }

  private void tone(float[] in, float[] l, float offset, float[] out, int n) {
    float share = colour;
    for (int i = 0; i < n; i++) {
      float chroma = 1 - Math.abs(2 * l[i] - 1);
      float v = Math.min(1f, Math.max(0f, l[i] + chroma * offset));
      out[i] = in[i] + (v - in[i]) * share;
    }
  }
}
