package org.nineveils.veil.overlay;

import org.nineveils.filter.Columns;
import org.nineveils.kernel.Frame;
import org.nineveils.setting.SettingValues;

/**
 * How much of a flare's light falls on each pixel: a core that fades by 1 / (1 + (r / size)²)², a
 * faint ring around it at 2.4 sizes, and three ghosts on the line from the source through the
 * middle of the frame, as the glasses of a lens throw them; the line can be turned about the
 * source, and the ghosts spread along it. Blur b widens the ring to 1 + 3b times, weakens it to 1 /
 * (1 + 2b), and lets the rims of the ghosts fall over 0.25 + 1.5b of their radius. Shapes chosen by
 * eye.
 */
final class Flare {
  private static final float RING_AT = 2.4f;
  private static final float RING_WIDE = 0.25f;
  private static final float RING = 0.18f;
  private static final float RIM_WIDE = 0.25f;

  /** Places on the line (0 the source, 1 the middle), sizes, strengths. */
  private static final float[][] GHOSTS = {
    {0.6f, 0.5f, 0.16f}, {1.35f, 0.9f, 0.12f}, {1.8f, 0.4f, 0.2f}
  };

  private final float amount;
  private final float x;
  private final float y;

  /** From the source to where the ghosts' line has its 1, pixels. */
  private final float alongX;

  private final float alongY;
  private final float perSize;
  private final float perRing;
  private final float ring;
  private final float rim;
  private final float perRim;

  Flare(SettingValues v, Frame frame) {
    amount = (float) v.share(Overlay.FLARE);
    x = (float) (frame.width() * v.share(Overlay.FLARE_X));
    y = (float) (frame.height() * v.share(Overlay.FLARE_Y));
    float toMiddleX = frame.width() / 2f - x;
    float toMiddleY = frame.height() / 2f - y;
    double turn = Math.toRadians(v.number(Overlay.FLARE_ANGLE));
    float cos = (float) (Math.cos(turn) * v.share(Overlay.FLARE_SPREAD));
    float sin = (float) (Math.sin(turn) * v.share(Overlay.FLARE_SPREAD));
    alongX = toMiddleX * cos - toMiddleY * sin;
    alongY = toMiddleX * sin + toMiddleY * cos;
    float blur = (float) v.share(Overlay.FLARE_BLUR);
    perRing = 1 / (RING_WIDE * (1 + 3 * blur));
    ring = RING / (1 + 2 * blur);
    rim = 1 + 0.75f * blur;
    perRim = 1 / (RIM_WIDE + 1.5f * blur);
    perSize = (float) (1 / (frame.longSide() * v.share(Overlay.FLARE_SIZE)));
  }

  /**
   * Weights of a run of pixels.
   *
   * @param w receives 0…1
   * @param dx scratch
   * @param r scratch
   */
  void run(float[] w, int n, int px, int py, float[] dx, float[] r) {
    distance(x, y, 1, n, px, py, dx, r);
    for (int i = 0; i < n; i++) {
      float core = 1 / (1 + r[i] * r[i]);
      w[i] = core * core;
    }
    float wide = perRing;
    float faint = ring;
    for (int i = 0; i < n; i++) {
      float off = (r[i] - RING_AT) * wide;
      w[i] += faint / (1 + off * off);
    }
    for (float[] ghost : GHOSTS) {
      float gx = x + alongX * ghost[0];
      float gy = y + alongY * ghost[0];
      distance(gx, gy, ghost[1], n, px, py, dx, r);
      float strength = ghost[2];
      float from = rim;
      float slope = perRim;
      for (int i = 0; i < n; i++) {
        float inside = Math.max(0f, Math.min(1f, (from - r[i]) * slope));
        w[i] += inside * inside * (3 - 2 * inside) * strength;
      }
    }
    float share = amount;
    for (int i = 0; i < n; i++) {
      w[i] = Math.min(1f, w[i]) * share;
    }
  }

  /** Distances from a place, in sizes of the flare times a factor. */
  private void distance(
      float fromX, float fromY, float size, int n, int px, int py, float[] dx, float[] r) {
    float scale = perSize / size;
    float dy = (py + 0.5f - fromY) * scale;
    Columns.ramp(px, 0.5f - fromX, scale, dx, n);
    float square = dy * dy;
    for (int i = 0; i < n; i++) {
      r[i] = (float) Math.sqrt(dx[i] * dx[i] + square);
    }
  }
}
