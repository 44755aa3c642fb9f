package org.nineveils.veil;

/**
 * The four blend modes that look at a colour as a whole. Lum, Sat, SetLum, SetSat and ClipColor are
 * those of W3C Compositing and Blending Level 1, section 9.2, kept in floats throughout.
 */
final class WholeColourBlend {
  private static final float TINY = 1e-20f;

  private WholeColourBlend() {}

  /** A blend of all three planes together. */
  interface Loop {
    void run(Band backdrop, Band source, Band out, int n);
  }

  /** SetLum(SetSat(Cs, Sat(Cb)), Lum(Cb)). */
  static void hue(Band b, Band s, Band out, int n) {
    for (int i = 0; i < n; i++) {
      float sat = max(b, i) - min(b, i);
      float low = min(s, i);
      float k = sat / Math.max(max(s, i) - low, TINY);
      setLum((s.r[i] - low) * k, (s.g[i] - low) * k, (s.b[i] - low) * k, lum(b, i), out, i);
    }
  }

  /** SetLum(SetSat(Cb, Sat(Cs)), Lum(Cb)). */
  static void saturation(Band b, Band s, Band out, int n) {
    for (int i = 0; i < n; i++) {
      float sat = max(s, i) - min(s, i);
      float low = min(b, i);
      float k = sat / Math.max(max(b, i) - low, TINY);
      setLum((b.r[i] - low) * k, (b.g[i] - low) * k, (b.b[i] - low) * k, lum(b, i), out, i);
    }
  }

  /** SetLum(Cs, Lum(Cb)). */
  static void color(Band b, Band s, Band out, int n) {
    for (int i = 0; i < n; i++) {
      setLum(s.r[i], s.g[i], s.b[i], lum(b, i), out, i);
    }
  }

  /** SetLum(Cb, Lum(Cs)). */
  static void luminosity(Band b, Band s, Band out, int n) {
    for (int i = 0; i < n; i++) {
      setLum(b.r[i], b.g[i], b.b[i], lum(s, i), out, i);
    }
  }

  /** Moves the colour to luminosity l and draws it towards grey where it leaves 0…1. */
  private static void setLum(float r, float g, float b, float l, Band out, int i) {
    float d = l - (0.3f * r + 0.59f * g + 0.11f * b);
    float low = Math.min(r, Math.min(g, b)) + d;
    float high = Math.max(r, Math.max(g, b)) + d;
    float k = 1;
    if (low < 0) {
      k = l / Math.max(l - low, TINY);
    }
    if (high > 1) {
      k *= (1 - l) / Math.max(high - l, TINY);
    }
    out.r[i] = clamp(l + (r + d - l) * k);
    out.g[i] = clamp(l + (g + d - l) * k);
    out.b[i] = clamp(l + (b + d - l) * k);
  }

  private static float clamp(float v) {
    return Math.min(1f, Math.max(0f, v));
  }

  private static float lum(Band p, int i) {
    return 0.3f * p.r[i] + 0.59f * p.g[i] + 0.11f * p.b[i];
  }

  private static float min(Band p, int i) {
    return Math.min(p.r[i], Math.min(p.g[i], p.b[i]));
  }

  private static float max(Band p, int i) {
    return Math.max(p.r[i], Math.max(p.g[i], p.b[i]));
  }
}
