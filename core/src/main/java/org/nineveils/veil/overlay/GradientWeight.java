package org.nineveils.veil.overlay;

import org.nineveils.filter.Columns;
import org.nineveils.kernel.Frame;
import org.nineveils.setting.SettingValues;

/** How much of the gradient's colour lies on each pixel; see {@link Overlay}. */
final class GradientWeight {
  private final float cx;
  private final float cy;
  private final float cos;
  private final float sin;
  private final float perLength;
  private final float round;

  /** Power that moves the half-way place; 1 in the middle. */
  private final float bend;

  GradientWeight(SettingValues v, Frame frame) {
    bend = (float) (Math.log(0.5) / Math.log(v.share(Overlay.GRADIENT_MIDDLE)));
    cx = (float) (frame.width() * v.share(Overlay.GRADIENT_X));
    cy = (float) (frame.height() * v.share(Overlay.GRADIENT_Y));
    double angle = Math.toRadians(v.number(Overlay.GRADIENT_ANGLE));
    cos = (float) Math.cos(angle);
    sin = (float) Math.sin(angle);
    double longSide = Math.max(frame.width(), frame.height());
    perLength = (float) (1 / (longSide * v.share(Overlay.GRADIENT_LENGTH)));
    round = (float) v.share(Overlay.GRADIENT_ROUND);
  }

  /**
   * Weights of a run of pixels.
   *
   * @param w receives 1 at the near end, falling to 0
   * @param dx scratch
   * @param t scratch
   */
  void run(float[] w, int n, int x, int y, float[] dx, float[] t) {
    float dy = (y + 0.5f - cy) * perLength;
    Columns.ramp(x, 0.5f - cx, perLength, dx, n);
    float straight = 1 - round;
    float across = dy * sin + 0.5f;
    for (int i = 0; i < n; i++) {
      t[i] = (dx[i] * cos + across) * straight;
    }
    float square = dy * dy;
    for (int i = 0; i < n; i++) {
      t[i] += (float) Math.sqrt(dx[i] * dx[i] + square) * round;
    }
    for (int i = 0; i < n; i++) {
      t[i] = Math.min(1f, Math.max(0f, t[i]));
    }
    if (bend != 1) {
      for (int i = 0; i < n; i++) {
        t[i] = (float) Math.pow(t[i], bend);
      }
    }
    for (int i = 0; i < n; i++) {
      t[i] = 1 - t[i];
    }
    for (int i = 0; i < n; i++) {
      w[i] = t[i] * t[i] * (3 - 2 * t[i]);
    }
  }
}
