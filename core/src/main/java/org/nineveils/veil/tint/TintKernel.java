package org.nineveils.veil.tint;

import org.nineveils.veil.Band;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.SettingValues;

/** Monochrome, then colourise; either is left out at amount 0. */
final class TintKernel implements Kernel {
  private final float mono;
  private final float[] w = new float[8];
  private final float colour;
  private final float lift;
  private final float[] hue;

  TintKernel(SettingValues values) {
    mono = (float) values.share(Tint.MONOCHROME);
    for (int i = 0; i < 8; i++) {
      w[i] = (float) values.share(Tint.WEIGHTS.get(i));
    }
    colour = (float) values.share(Tint.COLOURISE);
    lift = (float) values.share(Tint.LIGHTNESS);
    hue = offsets(values.number(Tint.HUE), values.share(Tint.SATURATION));
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    if (mono == 0 && colour == 0) {
      out.copyFrom(in, n);
    } else if (colour == 0) {
      monochrome(in, out, n, spare.t);
    } else if (mono == 0) {
      colourise(in, out, n, spare.t);
    } else {
      monochrome(in, spare, n, spare.t);
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

  private void monochrome(Band in, Band out, int n, float[] grey) {
    luma(in, grey, n);
    families(in, grey, n);
    mix(in.r, grey, out.r, n);
    mix(in.g, grey, out.g, n);
    mix(in.b, grey, out.b, n);
  }

  private static void luma(Band in, float[] grey, int n) {
    for (int i = 0; i < n; i++) {
      grey[i] = 0.2126f * in.r[i] + 0.7152f * in.g[i] + 0.0722f * in.b[i];
    }
  }

  /*
   * How: for a pixel, chroma is the sum of one primary part, max(0, r − max(g, b)) and its like, and
   * one secondary part, max(0, min(r, g) − b) and its like; these are straight ramps between the six
   * hues. Orange and purple lie half-way between two of them and take twice the smaller of the two,
   * which the two give up. No branch, no division, no hue angle.
   */
  private void families(Band in, float[] grey, int n) {
    float red = w[0], orange = w[1], yellow = w[2], green = w[3];
    float aqua = w[4], blue = w[5], purple = w[6], magenta = w[7];
    for (int i = 0; i < n; i++) {
      float r = in.r[i], g = in.g[i], b = in.b[i];
      float pr = Math.max(0f, r - Math.max(g, b));
      float pg = Math.max(0f, g - Math.max(r, b));
      float pb = Math.max(0f, b - Math.max(r, g));
      float sy = Math.max(0f, Math.min(r, g) - b);
      float sa = Math.max(0f, Math.min(g, b) - r);
      float sm = Math.max(0f, Math.min(r, b) - g);
      float o = Math.min(pr, sy);
      float p = Math.min(pb, sm);
      float shift = red * (pr - o) + orange * 2 * o + yellow * (sy - o) + green * pg;
      grey[i] += shift + aqua * sa + blue * (pb - p) + purple * 2 * p + magenta * (sm - p);
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
