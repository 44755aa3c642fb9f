package org.nineveils.veil.light;

import java.util.function.DoubleUnaryOperator;
import org.nineveils.colour.EncodedGain;
import org.nineveils.colour.Matrix3;
import org.nineveils.colour.SrgbLoops;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.ToneTable;

/**
 * Decode, multiply by a matrix, bend, encode, then the tone table; what does nothing is left out.
 */
final class LightKernel implements Kernel {
  private final float[] m = new float[9];
  private final boolean gainOnly;
  private final boolean identity;

  /** Exposure alone: the same gain for all channels, nothing bent. */
  private final boolean exposureOnly;

  private final float root;
  private final Shoulder shoulder;
  private final ToneTable tones;

  /**
   * Prepares the kernel.
   *
   * @param shoulder null for none
   * @param tones function of encoded tones, null for none
   */
  LightKernel(Matrix3 linear, Shoulder shoulder, DoubleUnaryOperator tones) {
    double[] rows = linear.rows();
    for (int i = 0; i < 9; i++) {
      m[i] = (float) rows[i];
    }
    gainOnly = m[1] == 0 && m[2] == 0 && m[3] == 0 && m[5] == 0 && m[6] == 0 && m[7] == 0;
    identity = gainOnly && m[0] == 1;
    exposureOnly = gainOnly && m[0] == m[4] && m[4] == m[8] && shoulder == null;
    root = (float) Math.pow(rows[0], EncodedGain.ROOT);
    this.shoulder = shoulder;
    this.tones = tones == null ? null : new ToneTable(tones);
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    if (identity && tones == null) {
      out.copyFrom(in, n);
      return;
    }
    if (identity) {
      lookUp(in, out, n);
      return;
    }
    Band encoded = tones == null ? out : spare;
    light(in, encoded, n, tones == null ? spare : out);
    if (tones != null) {
      lookUp(encoded, out, n);
    }
  }

  private void lookUp(Band in, Band out, int n) {
    tones.run(in.r, out.r, out.t, n);
    tones.run(in.g, out.g, out.t, n);
    tones.run(in.b, out.b, out.t, n);
  }

  /** Leaves encoded values in {@code to}; {@code work} is overwritten. */
  private void light(Band in, Band to, int n, Band work) {
    if (exposureOnly) {
      expose(in.r, to.r, n, work);
      expose(in.g, to.g, n, work);
      expose(in.b, to.b, n, work);
      return;
    }
    SrgbLoops.decode(in.r, to.r, n);
    SrgbLoops.decode(in.g, to.g, n);
    SrgbLoops.decode(in.b, to.b, n);
    if (gainOnly) {
      scale(to.r, m[0], work.r, n);
      scale(to.g, m[4], work.g, n);
      scale(to.b, m[8], work.b, n);
    } else {
      row(to, m[0], m[1], m[2], work.r, n);
      row(to, m[3], m[4], m[5], work.g, n);
      row(to, m[6], m[7], m[8], work.b, n);
    }
    if (shoulder != null) {
      shoulder.run(work.r, work.g, work.b, work.t, to.t, new float[][] {to.r, to.g, to.b}, n);
    }
    SrgbLoops.encode(work.r, to.r, n);
    SrgbLoops.encode(work.g, to.g, n);
    SrgbLoops.encode(work.b, to.b, n);
  }

  private void expose(float[] in, float[] to, int n, Band work) {
    java.util.Arrays.fill(work.r, 0, n, root);
    if (EncodedGain.bright(in, work.r, to, n)) {
      java.util.Arrays.fill(work.g, 0, n, m[0]);
      EncodedGain.dark(in, work.g, to, work.b, work.t, n);
    }
  }

  private static void scale(float[] in, float factor, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = in[i] * factor;
    }
  }

  private static void row(Band in, float a, float b, float c, float[] out, int n) {
    float[] r = in.r;
    float[] g = in.g;
    float[] u = in.b;
    for (int i = 0; i < n; i++) {
      out[i] = r[i] * a + g[i] * b + u[i] * c;
    }
  }
}
