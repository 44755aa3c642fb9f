package org.nineveils.veil.edge;

import org.nineveils.colour.SrgbLoops;
import org.nineveils.veil.Band;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.SettingValues;

/** Weight by distance from the centre, then a gain in linear light. */
final class EdgeKernel implements Kernel {
  private static final int GAIN_STEPS = 1024;

  private final float cx;
  private final float cy;
  private final float perX;
  private final float perY;
  private final float reach;
  private final float perSoftness;

  /** 2^(amount · w) for w in 0…1, straight lines between entries: relative error below 1e-6. */
  private final float[] gain = new float[GAIN_STEPS + 2];

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
    for (int i = 0; i < gain.length; i++) {
      gain[i] =
          (float) Math.pow(2, values.number(Edge.AMOUNT) * Math.min(i, GAIN_STEPS) / GAIN_STEPS);
    }
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
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
    for (int i = 0; i < n; i++) {
      float dx = (x + i + 0.5f - cx) * perX;
      float d = (float) Math.sqrt(dx * dx + dy2);
      float t = Math.min(1f, Math.max(0f, (d - reach) * perSoftness));
      w[i] = t * t * (3 - 2 * t);
    }
  }

  private void gains(float[] w, float[] out, int n) {
    float[] table = gain;
    for (int i = 0; i < n; i++) {
      float at = w[i] * GAIN_STEPS;
      int k = (int) at;
      float low = table[k];
      out[i] = low + (table[k + 1] - low) * (at - k);
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
