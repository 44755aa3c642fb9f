package org.nineveils.region;

import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;

/** A grey picture of a region at another size: made smaller by means, larger by straight lines. */
public final class Grey {
  private Grey() {}

  /**
   * Its red, which is its grey, at a size.
   *
   * @param wanted of about the same shape
   * @return a new plane, 0…1
   */
  public static float[] sized(Picture grey, Area wanted) {
    Picture p = Scaling.toLongSide(grey, Math.max(wanted.width(), wanted.height()));
    float[] out = new float[wanted.pixels()];
    for (int y = 0; y < wanted.height(); y++) {
      float down = (y + 0.5f) * p.height() / wanted.height() - 0.5f;
      int top = at(down, p.height());
      int below = Math.min(p.height() - 1, top + 1);
      float q = part(down, top);
      for (int x = 0; x < wanted.width(); x++) {
        float along = (x + 0.5f) * p.width() / wanted.width() - 0.5f;
        int left = at(along, p.width());
        int right = Math.min(p.width() - 1, left + 1);
        float t = part(along, left);
        float above = p.r()[top * p.width() + left] * (1 - t) + p.r()[top * p.width() + right] * t;
        float under =
            p.r()[below * p.width() + left] * (1 - t) + p.r()[below * p.width() + right] * t;
        out[y * wanted.width() + x] = Math.min(1f, above * (1 - q) + under * q);
      }
    }
    return out;
  }

  private static int at(float place, int most) {
    return Math.max(0, Math.min(most - 1, (int) Math.floor(place)));
  }

  private static float part(float place, int first) {
    return Math.max(0f, Math.min(1f, place - first));
  }
}
