package org.nineveils.veil.ink;

import java.util.Arrays;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.SettingValues;

/**
 * Sums the shifts of all families for each channel, then takes them off; idle families cost
 * nothing.
 */
final class InkKernel implements Kernel {
  private static final int FAMILIES = 9;

  /** Shift of a family for red, green and blue: its own ink and black together. */
  private final float[][] shifts = new float[FAMILIES][3];

  private final float alsoWhereNone;

  InkKernel(SettingValues values) {
    for (int f = 0; f < FAMILIES; f++) {
      var family = Ink.SHIFTS.get(f);
      NumberSetting black = family.get(3);
      for (int c = 0; c < 3; c++) {
        shifts[f][c] = (float) (values.share(family.get(c)) + values.share(black));
      }
    }
    alsoWhereNone = (float) values.share(Ink.ALSO_WHERE_NONE);
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    Arrays.fill(spare.r, 0, n, 0f);
    Arrays.fill(spare.g, 0, n, 0f);
    Arrays.fill(spare.b, 0, n, 0f);
    for (int f = 0; f < FAMILIES; f++) {
      float[] shift = shifts[f];
      if (shift[0] != 0 || shift[1] != 0 || shift[2] != 0) {
        weight(f, in, spare.t, out.t, n);
        add(spare.t, shift[0], spare.r, n);
        add(spare.t, shift[1], spare.g, n);
        add(spare.t, shift[2], spare.b, n);
      }
    }
    take(in.r, spare.r, out.r, n);
    take(in.g, spare.g, out.g, n);
    take(in.b, spare.b, out.b, n);
  }

  /** How much each pixel belongs to a family, in the order of {@link Ink#FAMILIES}. */
  private static void weight(int family, Band in, float[] w, float[] work, int n) {
    switch (family) {
      case 0 -> HueParts.primary(in.r, in.g, in.b, w, n);
      case 1 -> HueParts.secondary(in.r, in.g, in.b, w, n);
      case 2 -> HueParts.primary(in.g, in.r, in.b, w, n);
      case 3 -> HueParts.secondary(in.g, in.b, in.r, w, n);
      case 4 -> HueParts.primary(in.b, in.r, in.g, w, n);
      case 5 -> HueParts.secondary(in.r, in.b, in.g, w, n);
      case 6 -> darks(in.r, in.g, in.b, w, n);
      case 7 -> middles(in.r, in.g, in.b, w, work, n);
      default -> lights(in.r, in.g, in.b, w, n);
    }
  }

  private static void lights(float[] r, float[] g, float[] b, float[] w, int n) {
    for (int i = 0; i < n; i++) {
      w[i] = Math.max(0f, 2 * Math.min(r[i], Math.min(g[i], b[i])) - 1);
    }
  }

  private static void darks(float[] r, float[] g, float[] b, float[] w, int n) {
    for (int i = 0; i < n; i++) {
      w[i] = Math.max(0f, 1 - 2 * Math.max(r[i], Math.max(g[i], b[i])));
    }
  }

  private static void middles(float[] r, float[] g, float[] b, float[] w, float[] work, int n) {
    for (int i = 0; i < n; i++) {
      work[i] = Math.abs(Math.max(r[i], Math.max(g[i], b[i])) - 0.5f);
    }
    for (int i = 0; i < n; i++) {
      w[i] = 1 - work[i] - Math.abs(Math.min(r[i], Math.min(g[i], b[i])) - 0.5f);
    }
  }

  private static void add(float[] w, float shift, float[] sum, int n) {
    for (int i = 0; i < n; i++) {
      sum[i] += w[i] * shift;
    }
  }

  private void take(float[] in, float[] sum, float[] out, int n) {
    float m = alsoWhereNone;
    for (int i = 0; i < n; i++) {
      out[i] = in[i] - sum[i] * ((1 - m) * (1 - in[i]) + m);
    }
    for (int i = 0; i < n; i++) {
      out[i] = Math.min(1f, Math.max(0f, out[i]));
    }
  }
}
