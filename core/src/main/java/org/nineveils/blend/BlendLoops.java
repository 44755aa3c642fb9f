package org.nineveils.blend;

/**
 * The separable blend modes, one loop each, without branches so that the JIT vectorises them. b is
 * the backdrop, s the source; names and formulas are those of W3C Compositing and Blending Level 1,
 * section 9.1, with its case distinctions rewritten as minima and maxima.
 */
final class BlendLoops {
  private static final float TINY = 1e-20f;

  private BlendLoops() {}

  /** A blend of one colour plane. */
  interface Plane {
    void run(float[] b, float[] s, float[] out, int n);
  }

  static void normal(float[] b, float[] s, float[] out, int n) {
    System.arraycopy(s, 0, out, 0, n);
  }

  static void multiply(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = b[i] * s[i];
    }
  }

  static void screen(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = b[i] + s[i] * (1 - b[i]);
    }
  }

  /** Multiply by 2s below one half, screen with 2s − 1 above: one of the two terms is neutral. */
  static void hardLight(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      float t = 2 * s[i] - 1;
      out[i] = b[i] * Math.min(1f, t + 1) + Math.max(0f, t) * (1 - b[i]);
    }
  }

  static void overlay(float[] b, float[] s, float[] out, int n) {
    hardLight(s, b, out, n);
  }

  static void darken(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.min(b[i], s[i]);
    }
  }

  static void lighten(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.max(b[i], s[i]);
    }
  }

  static void colorDodge(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.min(1f, b[i] / Math.max(1 - s[i], TINY));
    }
  }

  static void colorBurn(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = 1 - Math.min(1f, (1 - b[i]) / Math.max(s[i], TINY));
    }
  }

  /** D(b) is the polynomial up to one quarter and the square root from there; both give ½ there. */
  static void softLight(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      float low = Math.min(b[i], 0.25f);
      out[i] = ((16 * low - 12) * low + 4) * low - 0.5f - b[i];
    }
    for (int i = 0; i < n; i++) {
      out[i] += (float) Math.sqrt(Math.max(b[i], 0.25f)); // D(b) − b
    }
    for (int i = 0; i < n; i++) {
      out[i] *= Math.max(0f, 2 * s[i] - 1);
    }
    for (int i = 0; i < n; i++) {
      out[i] += b[i] + Math.min(0f, 2 * s[i] - 1) * b[i] * (1 - b[i]);
    }
    limit(out, n);
  }

  /** Takes off what rounding put below black or above white. */
  private static void limit(float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.min(1f, Math.max(0f, out[i]));
    }
  }

  static void difference(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = Math.abs(b[i] - s[i]);
    }
  }

  static void exclusion(float[] b, float[] s, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = b[i] + s[i] - 2 * b[i] * s[i];
    }
  }
}
