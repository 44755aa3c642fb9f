package org.nineveils.fact;

import java.util.Arrays;
import java.util.Optional;
import org.nineveils.colour.LabLoops;
import org.nineveils.filter.Gaussian;
import org.nineveils.mask.Guard;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Scaling;

/**
 * What facts are taken of: a plain photo, averaged to {@link #LONG_SIDE}, with what several facts
 * need of it. For one thread.
 */
public final class Ground {
  /** Pixels of the long side. */
  public static final int LONG_SIDE = 480;

  /** Chroma in L*a*b* below which a tone is near neutral. */
  private static final double NEUTRAL = 10;

  /** Share of the picture below which such tones say nothing. */
  private static final double FEWEST = 0.01;

  private static final double BELONGS = 0.5;

  private final Picture photo;
  private final Picture small;
  private final float[][] lab;
  private float[] skin;
  private float[][] ofSkin;
  private Optional<double[]> neutral;

  private Ground(Picture photo, float[] skin) {
    this.photo = photo;
    this.small = Scaling.toLongSide(photo, LONG_SIDE);
    this.skin = skin;
    lab = new float[][] {small.r().clone(), small.g().clone(), small.b().clone()};
    LabLoops.fromSrgb(lab[0], lab[1], lab[2], new float[3][lab[0].length], lab[0].length);
  }

  /** A photo; its skin is found by rule. */
  public static Ground of(Picture photo) {
    return new Ground(photo, null);
  }

  /**
   * A photo whose skin somebody has marked.
   *
   * @param skin coverage of every pixel of the photo averaged to {@link #LONG_SIDE}, 0…1
   */
  public static Ground of(Picture photo, float[] skin) {
    Ground out = new Ground(photo, skin);
    if (skin.length != out.small.r().length) {
      throw new IllegalArgumentException("the skin has another size than the photo");
    }
    return out;
  }

  /** The averaged photo. */
  public Picture small() {
    return small;
  }

  /** L*, a*, b* of every pixel of it; not to be changed. */
  float[][] lab() {
    return lab;
  }

  /** L*, a*, b* of the pixels of skin. */
  float[][] skin() {
    if (ofSkin == null) {
      if (skin == null) {
        skin = Guard.skinOf(small);
      }
      ofSkin = where(skin);
    }
    return ofSkin;
  }

  private float[][] where(float[] cover) {
    float[][] out = new float[3][cover.length];
    int n = 0;
    for (int i = 0; i < cover.length; i++) {
      if (cover[i] >= BELONGS) {
        for (int c = 0; c < 3; c++) {
          out[c][n] = lab[c][i];
        }
        n++;
      }
    }
    for (int c = 0; c < 3; c++) {
      out[c] = Arrays.copyOf(out[c], n);
    }
    return out;
  }

  /** Whether skin takes enough of the picture for anything to be said of its colour. */
  boolean hasSkin() {
    return skin()[0].length >= FEWEST / 4 * lab[0].length;
  }

  /** Mean a* and b* of near-neutral tones; empty where there are hardly any. */
  public Optional<double[]> neutral() {
    if (neutral == null) {
      double a = 0;
      double b = 0;
      int n = 0;
      for (int i = 0; i < lab[0].length; i++) {
        if (Math.hypot(lab[1][i], lab[2][i]) < NEUTRAL) {
          a += lab[1][i];
          b += lab[2][i];
          n++;
        }
      }
      neutral =
          n < FEWEST * lab[0].length ? Optional.empty() : Optional.of(new double[] {a / n, b / n});
    }
    return neutral;
  }

  /**
   * A quantile of some values.
   *
   * @param values 1 or more; not changed
   * @param share 0…1
   */
  static double quantile(float[] values, double share) {
    float[] sorted = values.clone();
    Arrays.sort(sorted);
    double at = share * (sorted.length - 1);
    int low = (int) at;
    int high = Math.min(low + 1, sorted.length - 1);
    return sorted[low] + (sorted[high] - sorted[low]) * (at - low);
  }

  /** Pixels of a square of the photo at its own size that is looked at for noise. */
  private static final int SQUARE = 64;

  private static final int SQUARES = 12;

  /**
   * Standard deviations, in codes of 256, of what lies finer than a blur of 1.2 pixels, in the
   * flattest squares: told by the median of absolute values over 0.6745 (P. Rousseeuw, C. Croux,
   * Journal of the American Statistical Association 88, 1993).
   *
   * @param whole at the photo's own size, or averaged
   * @return the median over the flattest quarter of the squares; empty where the picture is smaller
   *     than one
   */
  Optional<Double> noise(boolean whole) {
    Picture p = whole ? photo : small;
    int side = Math.min(SQUARE, Math.min(p.width(), p.height()));
    if (side < 16) {
      return Optional.empty();
    }
    double[] found = new double[SQUARES * SQUARES];
    for (int k = 0; k < found.length; k++) {
      int x = (p.width() - side) * (k % SQUARES) / (SQUARES - 1);
      int y = (p.height() - side) * (k / SQUARES) / (SQUARES - 1);
      found[k] = spread(Part.whole(p).cut(new Area(x, y, side, side)).picture());
    }
    Arrays.sort(found);
    return Optional.of(255 * found[found.length / 8]);
  }

  private static double spread(Picture p) {
    float[] luma = new float[p.r().length];
    org.nineveils.colour.Luma.run(p.r(), p.g(), p.b(), luma, luma.length);
    float[] blurred = Gaussian.whole(luma, p.area(), 1.2);
    float[] apart = new float[luma.length];
    for (int i = 0; i < apart.length; i++) {
      apart[i] = Math.abs(luma[i] - blurred[i]);
    }
    return quantile(apart, 0.5) / 0.6745;
  }
}
