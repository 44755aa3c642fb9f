package org.nineveils.veil.edge;

import org.nineveils.colour.Chebyshev;
import org.nineveils.colour.EncodedGain;
import org.nineveils.filter.Columns;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.setting.SettingValues;

/** Weight by distance from the centre, then a gain in linear light; the frame on top. */
final class EdgeKernel implements Kernel {
  private static final int DEGREE = 8;

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

  /** The factor of encoded values that belongs to the gain, alike. */
  private final float[] root;

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
    gain = Chebyshev.fit(w -> Math.pow(2, amount * w), 0, 1, DEGREE);
    root = Chebyshev.fit(w -> Math.pow(2, amount * w * EncodedGain.ROOT), 0, 1, DEGREE);
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
    float[] factors = out.t;
    weight(w, n, x, y);
    polynomial(root, w, factors, n);
    boolean darkR = EncodedGain.bright(in.r, factors, out.r, n);
    boolean darkG = EncodedGain.bright(in.g, factors, out.g, n);
    boolean darkB = EncodedGain.bright(in.b, factors, out.b, n);
    if (darkR || darkG || darkB) {
      polynomial(gain, w, factors, n);
    }
    if (darkR) {
      EncodedGain.dark(in.r, factors, out.r, spare.r, spare.g, n);
    }
    if (darkG) {
      EncodedGain.dark(in.g, factors, out.g, spare.r, spare.g, n);
    }
    if (darkB) {
      EncodedGain.dark(in.b, factors, out.b, spare.r, spare.g, n);
    }
  }

  private void weight(float[] w, int n, int x, int y) {
    float dy = (y + 0.5f - cy) * perY;
    float dy2 = dy * dy;
    Columns.ramp(x, 0.5f - cx, perX, w, n);
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

  private static void polynomial(float[] terms, float[] w, float[] out, int n) {
    java.util.Arrays.fill(out, 0, n, terms[DEGREE]);
    for (int k = DEGREE - 1; k >= 0; k--) {
      float next = terms[k];
      for (int i = 0; i < n; i++) {
        out[i] = out[i] * w[i] + next;
      }
    }
  }
}
