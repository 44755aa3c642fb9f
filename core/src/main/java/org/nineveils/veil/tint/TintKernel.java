package org.nineveils.veil.tint;

import java.util.Arrays;
import org.nineveils.veil.Band;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.SettingValues;

/** Monochrome, then colourise; either is left out at amount 0. */
final class TintKernel implements Kernel {
  private final float mono;
  private final float[] w = new float[8];
  private final boolean weighted;
  private final float colour;
  private final float lift;
  private final float[] hue;

  TintKernel(SettingValues values) {
    mono = (float) values.share(Tint.MONOCHROME);
    for (int i = 0; i < 8; i++) {
      w[i] = (float) values.share(Tint.WEIGHTS.get(i));
    }
    weighted = !Arrays.equals(w, new float[8]);
    colour = (float) values.share(Tint.COLOURISE);
    lift = (float) values.share(Tint.LIGHTNESS);
    hue = offsets(values.number(Tint.HUE), values.share(Tint.SATURATION));
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    if (mono == 0 && colour == 0) {
      out.copyFrom(in, n);
    } else if (colour == 0) {
      monochrome(in, out, n, spare);
    } else if (mono == 0) {
      colourise(in, out, n, spare.t);
    } else {
      monochrome(in, spare, n, out);
      colourise(spare, out, n, spare.t);
    }
  }

  /**
   * How far red, green and blue stand from lightness, per unit of 1 − |2L − 1|: HSL, CSS Color 4.
   */
  private static float[] offsets(double degrees, double saturation) {
    float[] k = new float[3];
    for (int c = 0; c < 3; c++) {
      double t = (((degrees / 60 + (c == 0 ? 0 : c == 1 ? 4 : 2)) % 6) + 6) % 6;
      double pure = Math.min(1, Math.max(0, Math.abs(t - 3) - 1));
      k[c] = (float) ((pure - 0.5) * saturation);
    }
    return k;
  }

  /** Grey by weights into {@code out}; {@code work} is overwritten. */
  private void monochrome(Band in, Band out, int n, Band work) {
    float[] grey = work.t;
    luma(in.r, in.g, in.b, grey, n);
    if (weighted) {
      warm(in, grey, n, work);
      cold(in, grey, n, work);
      other(in, grey, n, work);
    }
    mix(in.r, grey, out.r, n);
    mix(in.g, grey, out.g, n);
    mix(in.b, grey, out.b, n);
  }

  private static void luma(float[] r, float[] g, float[] b, float[] grey, int n) {
    for (int i = 0; i < n; i++) {
      grey[i] = 0.2126f * r[i] + 0.7152f * g[i] + 0.0722f * b[i];
    }
  }

  /*
   * How: for a pixel, chroma is the sum of one primary part, max(0, r − max(g, b)) and its like, and
   * one secondary part, max(0, min(r, g) − b) and its like; these are straight ramps between the six
   * hues. Orange and purple lie half-way between two of them and take twice the smaller of the two,
   * which the two give up. No branch, no division, no hue angle.
   */
  private void warm(Band in, float[] grey, int n, Band work) {
    primary(in.r, in.g, in.b, work.r, n);
    secondary(in.r, in.g, in.b, work.g, n);
    addPair(work.r, work.g, w[0], w[1], w[2], grey, n);
  }

  private void cold(Band in, float[] grey, int n, Band work) {
    primary(in.b, in.r, in.g, work.r, n);
    secondary(in.b, in.r, in.g, work.g, n);
    addPair(work.r, work.g, w[5], w[6], w[7], grey, n);
  }

  private void other(Band in, float[] grey, int n, Band work) {
    primary(in.g, in.r, in.b, work.r, n);
    secondary(in.g, in.b, in.r, work.g, n);
    add(work.r, w[3], grey, n);
    add(work.g, w[4], grey, n);
  }

  /** How far one primary stands above both others. */
  private static void primary(float[] own, float[] one, float[] two, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(0f, own[i] - Math.max(one[i], two[i]));
    }
  }

  /** How far two primaries stand together above the third. */
  private static void secondary(float[] one, float[] two, float[] third, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(0f, Math.min(one[i], two[i]) - third[i]);
    }
  }

  private static void addPair(
      float[] p, float[] s, float first, float between, float last, float[] grey, int n) {
    add(p, first, grey, n);
    add(s, last, grey, n);
    float both = 2 * between - first - last;
    for (int i = 0; i < n; i++) {
      grey[i] += both * Math.min(p[i], s[i]);
    }
  }

  private static void add(float[] part, float weight, float[] grey, int n) {
    for (int i = 0; i < n; i++) {
      grey[i] += weight * part[i];
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
    for (int i = 0; i < n; i++) {
      float r = in.r[i], g = in.g[i], b = in.b[i];
      float mid = (Math.max(r, Math.max(g, b)) + Math.min(r, Math.min(g, b))) * 0.5f;
      l[i] = (mid + (1 - mid) * up) * down;
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
