package org.nineveils.mask;

import java.util.Collections;
import java.util.Map;
import java.util.WeakHashMap;
import org.nineveils.colour.LabLoops;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;

/**
 * The picture on which rules decide: the plain photo averaged to a fixed share of its long side, so
 * that a preview and the full frame are told the same and single noisy pixels are not asked. It is
 * kept for as long as the photo is.
 */
final class SmallPhoto {
  /** Long side, pixels; what is smaller is taken as it is. */
  static final int LONG_SIDE = 480;

  /** By a plane of the photo; arrays are compared by identity. */
  private static final Map<float[], Picture> KEPT =
      Collections.synchronizedMap(new WeakHashMap<>());

  /** The same for what a small photo is in Lab. */
  private static final Map<float[], float[][]> KEPT_LAB =
      Collections.synchronizedMap(new WeakHashMap<>());

  private SmallPhoto() {}

  /** L*, a*, b* of a small photo; not to be changed. */
  static float[][] lab(Picture small) {
    return KEPT_LAB.computeIfAbsent(small.r(), plane -> toLab(small));
  }

  /** L*, a*, b* of a picture. */
  static float[][] toLab(Picture small) {
    float[][] lab = {small.r().clone(), small.g().clone(), small.b().clone()};
    int n = lab[0].length;
    LabLoops.fromSrgb(lab[0], lab[1], lab[2], new float[3][n], n);
    return lab;
  }

  static Picture of(Picture plain) {
    if (plain.longSide() <= LONG_SIDE) {
      return plain;
    }
    Picture found = KEPT.get(plain.r());
    if (found == null) {
      found = softened(Scaling.toLongSide(plain, LONG_SIDE));
      KEPT.put(plain.r(), found);
    }
    return found;
  }

  /**
   * A photo that was small as it came, evened out like those that were made small; others as they
   * are. Roughness means the same of both then.
   *
   * @param small what {@link #of} gave
   */
  static Picture evened(Picture small) {
    if (KEPT.containsValue(small)) {
      return small;
    }
    return KEPT.computeIfAbsent(small.r(), plane -> softened(small));
  }

  /** Each pixel with its neighbours, by 1 2 1 both ways: what is left of the noise is averaged. */
  private static Picture softened(Picture p) {
    int w = p.width();
    int h = p.height();
    return new Picture(w, h, soft(p.r(), w, h), soft(p.g(), w, h), soft(p.b(), w, h));
  }

  private static float[] soft(float[] in, int w, int h) {
    float[] rows = new float[in.length];
    for (int y = 0; y < h; y++) {
      int at = y * w;
      for (int x = 0; x < w; x++) {
        float left = in[at + Math.max(0, x - 1)];
        float right = in[at + Math.min(w - 1, x + 1)];
        rows[at + x] = 0.5f * in[at + x] + 0.25f * (left + right);
      }
    }
    float[] out = new float[in.length];
    for (int y = 0; y < h; y++) {
      int up = Math.max(0, y - 1) * w;
      int down = Math.min(h - 1, y + 1) * w;
      for (int x = 0; x < w; x++) {
        out[y * w + x] = 0.5f * rows[y * w + x] + 0.25f * (rows[up + x] + rows[down + x]);
      }
    }
    return out;
  }
}
