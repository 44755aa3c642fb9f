package org.nineveils.veil.overlay;

import org.nineveils.filter.Columns;
import org.nineveils.kernel.Frame;
import org.nineveils.setting.SettingValues;

/**
 * How much of the shaft's light falls on each pixel: full on its axis, by (1 − q²)² to nothing at
 * its rim, where q is the distance from the axis over the half width there; fading along the beam
 * by 1 / (1 + 2u), u in long sides; nothing behind its source.
 */
final class ShaftWeight {
  private static final float FADE = 2;

  /** Half width at the source, in long sides. */
  private static final float SOURCE = 0.02f;

  private final float amount;
  private final float cx;
  private final float cy;
  private final float cos;
  private final float sin;
  private final float perLong;
  private final float widening;

  ShaftWeight(SettingValues v, Frame frame) {
    amount = (float) v.share(Overlay.SHAFT);
    cx = (float) (frame.width() * v.share(Overlay.SHAFT_X));
    cy = (float) (frame.height() * v.share(Overlay.SHAFT_Y));
    double angle = Math.toRadians(v.number(Overlay.SHAFT_ANGLE));
    cos = (float) Math.cos(angle);
    sin = (float) Math.sin(angle);
    perLong = 1f / Math.max(frame.width(), frame.height());
    widening = (float) Math.tan(Math.toRadians(v.number(Overlay.SHAFT_SPREAD) / 2));
  }

  /**
   * Weights of a run of pixels.
   *
   * @param w receives 0…amount
   * @param dx scratch
   * @param u scratch
   */
  void run(float[] w, int n, int x, int y, float[] dx, float[] u) {
    float dy = (y + 0.5f - cy) * perLong;
    Columns.ramp(x, 0.5f - cx, perLong, dx, n);
    for (int i = 0; i < n; i++) {
      u[i] = dx[i] * cos + dy * sin;
    }
    for (int i = 0; i < n; i++) {
      dx[i] = dy * cos - dx[i] * sin; // from the axis
    }
    for (int i = 0; i < n; i++) {
      dx[i] /= SOURCE + widening * Math.max(0f, u[i]);
    }
    for (int i = 0; i < n; i++) {
      w[i] = Math.max(0f, 1 - dx[i] * dx[i]);
    }
    for (int i = 0; i < n; i++) {
      float ahead = Math.min(1f, Math.max(0f, u[i] * (1 / SOURCE)));
      w[i] *= w[i] * ahead * amount / (1 + FADE * Math.max(0f, u[i]));
    }
  }
}
