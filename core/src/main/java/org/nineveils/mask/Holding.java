package org.nineveils.mask;

import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/**
 * Where a holding stroke may lay anything: on colours of the plain photo near the one that it began
 * on. As with rules that look at the photo, that is decided on the small photo and brought back
 * along the photo's edges. The distance is that of CIE Lab (D50) with lightness counted by half,
 * since a thing is lit unevenly sooner than it changes its colour; full up to the tolerance,
 * nothing from one and a quarter times that on.
 */
final class Holding {
  private static final float LIGHTNESS = 0.5f;
  private static final float FEATHER = 0.25f; // of the tolerance, on top of it
  private static final int AROUND = 1; // pixels of the small photo about the first point

  private Holding() {}

  /**
   * Weights of an area, 0…1.
   *
   * @param stroke holds to its colour
   * @param plain the whole plain photo, at the size that is rendered
   */
  static float[] weights(Stroke stroke, Picture plain, Area area) {
    Picture small = SmallPhoto.of(plain);
    float[][] lab = SmallPhoto.lab(small);
    float[] begun = begun(stroke, small, lab);
    float[] near = near(lab, begun, (float) stroke.holding());
    return small.width() == plain.width()
        ? cut(near, plain, area)
        : new Refined(plain, small, area).weights(near, small);
  }

  /** Mean colour about the first point. */
  private static float[] begun(Stroke stroke, Picture small, float[][] lab) {
    int cx = place(stroke.at(0) * small.longSide(), small.width());
    int cy = place(stroke.at(1) * small.longSide(), small.height());
    float[] sum = new float[3];
    int count = 0;
    for (int y = cy - AROUND; y <= cy + AROUND; y++) {
      for (int x = cx - AROUND; x <= cx + AROUND; x++) {
        if (x >= 0 && y >= 0 && x < small.width() && y < small.height()) {
          count++;
          for (int c = 0; c < 3; c++) {
            sum[c] += lab[c][y * small.width() + x];
          }
        }
      }
    }
    return new float[] {sum[0] / count, sum[1] / count, sum[2] / count};
  }

  private static int place(double at, int size) {
    return (int) Math.min(size - 1, Math.max(0, Math.floor(at)));
  }

  private static float[] near(float[][] lab, float[] begun, float tolerance) {
    float[] out = new float[lab[0].length];
    for (int i = 0; i < out.length; i++) {
      float dl = (lab[0][i] - begun[0]) * LIGHTNESS;
      float da = lab[1][i] - begun[1];
      float db = lab[2][i] - begun[2];
      float d = (float) Math.sqrt(dl * dl + da * da + db * db);
      float t = Math.min(1, Math.max(0, (d - tolerance) / (tolerance * FEATHER)));
      out[i] = 1 - t * t * (3 - 2 * t);
    }
    return out;
  }

  private static float[] cut(float[] whole, Picture plain, Area area) {
    return new Coverage(plain.area(), whole).cut(area).values();
  }
}
