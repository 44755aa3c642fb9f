package org.nineveils.veil.edge;

import org.nineveils.colour.Chebyshev;
import org.nineveils.colour.SrgbLoops;
import org.nineveils.filter.Columns;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Band;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;

/** Weight by distance from the centre, then a gain in linear light; the frame on top. */
final class EdgeKernel implements Kernel {
  private static final int GAIN_DEGREE = 8;

  private final boolean vignette;
  private final FrameBorder frame;
  private final float cx;
  private final float cy;
  private final float perX;
  private final float perY;
  private final float reach;
  private final float perSoftness;

  /** 2^(amount · w) as a polynomial in w on 0…1; relative error below 3e-6. */
  private final float[] gain;

  EdgeKernel(SettingValues values, Frame frame) {
    double halfW = frame.width() / 2.0;
    double halfH = frame.height() / 2.0;
    double corner = Math.hypot(halfW, halfH);
    double round = values.share(Edge.ROUNDNESS);
    cx = (float) (frame.width() * values.share(Edge.CENTRE_X));
    cy = (float) (frame.height() * values.share(Edge.CENTRE_Y));
    perX = (float) (1 / (halfW * Math.sqrt(2) * (1 - round) + corner * round));
    perY = (float) (1 / (halfH * Math.sqrt(2) * (1 - round) + corner * round));
    reach = (float) values.share(Edge.REACH);
    perSoftness = (float) (1 / values.share(Edge.SOFTNESS));
    double amount = values.number(Edge.AMOUNT);
    vignette = amount != 0;
    this.frame = FrameBorder.of(values, frame);
    gain = Chebyshev.fit(w -> Math.pow(2, amount * w), 0, 1, GAIN_DEGREE);
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    if (vignette) {
      vignette(in, out, n, x, y, spare);
    } else {
      out.copyFrom(in, n);
    }
    if (frame != null) {
      frame.run(out, n, x, y, spare);
    }
  }

  private void vignette(Band in, Band out, int n, int x, int y, Band spare) {
    float[] w = spare.t;
    weight(w, n, x, y);
    gains(w, out.t, n);
    plane(in.r, out.t, spare.r, spare.g, out.r, n);
    plane(in.g, out.t, spare.r, spare.g, out.g, n);
    plane(in.b, out.t, spare.r, spare.g, out.b, n);
  }

  private void weight(float[] w, int n, int x, int y) {
    float dy = (y + 0.5f - cy) * perY;
    float dy2 = dy * dy;
    Columns.ramp(x + 0.5f - cx, perX, w, n);
    for (int i = 0; i < n; i++) {
      w[i] = (float) Math.sqrt(w[i] * w[i] + dy2);
    }
    float from = reach;
    float scale = perSoftness;
    for (int i = 0; i < n; i++) {
      w[i] = Math.min(1f, Math.max(0f, (w[i] - from) * scale));
    }
    for (int i = 0; i < n; i++) {
      w[i] = w[i] * w[i] * (3 - 2 * w[i]);
    }
  }

  private void gains(float[] w, float[] out, int n) {
    java.util.Arrays.fill(out, 0, n, gain[GAIN_DEGREE]);
    for (int k = GAIN_DEGREE - 1; k >= 0; k--) {
      float next = gain[k];
      for (int i = 0; i < n; i++) {
        out[i] = out[i] * w[i] + next;
      }
    }
  }

  private static void plane(
      float[] in, float[] gain, float[] linear, float[] lit, float[] out, int n) {
    SrgbLoops.decode(in, linear, n);
    for (int i = 0; i < n; i++) {
      lit[i] = linear[i] * gain[i];
    }
    SrgbLoops.encode(lit, out, n);
  }
}
