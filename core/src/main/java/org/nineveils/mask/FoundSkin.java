package org.nineveils.mask;

import java.util.Arrays;
import java.util.Collections;
import java.util.Map;
import java.util.WeakHashMap;
import org.nineveils.picture.Picture;

/**
 * Where skin is on a photo, told from all of it: by colour, by the light that it may have been
 * taken in, by form and by place.
 *
 * <p>1. The small photo is cut into parts of like colour ({@link Clusters}). 2. For each guess at
 * the light ({@link CastOut}) its colours are weighed ({@link SkinColours}), the hue is moved once
 * to the middle of what was found, by at most {@link #REDDER} or {@link #YELLOWER}, and they are
 * weighed again. 3. Parts that run round the picture and are found too are what lies behind, such
 * as a blanket, unless hardly anything is left without them. 4. What is rough by the mean over all
 * that was found is fur. 5. The guess by which most is found is taken; grey light counts half as
 * much again, so that a photo without a cast is told as if nobody had asked. Common practice, no
 * published source; set on the computer-made test photos.
 */
final class FoundSkin {
  private static final float REDDER = 5;
  private static final float YELLOWER = 14;

  /** How much more the photo as it is counts than the same in another light. */
  private static final double AS_IT_IS = 2;

  /** Shares of area and border from which parts run round the picture. */
  private static final double WIDE = 0.25;

  private static final double ROUND = 0.45;

  /** A part lies at the border by this share of it, and by this share of its own. */
  private static final double AT_BORDER = 0.05;

  private static final double OWN_BORDER = 0.6;

  /** Share of the picture that must be left for the rest to be what lies behind. */
  private static final double LEFT = 0.02;

  /** Texture in L*, over that of the smoothest part, from which it is fur. */
  private static final double ROUGH = 0.6;

  /** The same for the photo as it is: only what is fur beyond doubt. */
  private static final double FUR = 0.8;

  /** Share of the picture below which the photo as it is may have its hue moved too. */
  private static final double LITTLE = 0.04;

  /** What lies at the border counts less, but not for nothing. */
  private static final double LEAST_INSIDE = 0.1;

  /** How much wider the range of hues is in a light that was guessed. */
  private static final float WIDER = 1.2f;

  /** Weight from which a pixel is looked at for the middle of what was found. */
  private static final float FOUND = 0.5f;

  private static final Map<float[], LitPhoto> KEPT =
      Collections.synchronizedMap(new WeakHashMap<>());

  private FoundSkin() {}

  /**
   * Weights of every pixel, 0…1; not to be changed.
   *
   * @param small see {@link SmallPhoto}
   */
  static float[] of(Picture small, SkinColours colours) {
    Picture photo = SmallPhoto.evened(small);
    LitPhoto lit = KEPT.computeIfAbsent(photo.r(), plane -> LitPhoto.of(photo));
    return lit.once(colours, c -> find(photo, lit, c));
  }

  /**
   * A way to tell skin on one photo: in which light, by which colours, and which parts lie behind.
   */
  @SuppressWarnings("ArrayRecordComponent") // made here, never compared
  private record Way(LitPhoto.Light light, SkinColours colours, boolean[] behind, double share) {}

  private static float[] find(Picture photo, LitPhoto lit, SkinColours colours) {
    Way best = null;
    double most = 0;
    for (int i = 0; i < lit.lights().size(); i++) {
      LitPhoto.Light light = lit.lights().get(i);
      boolean asItIs = i == 0;
      Way way = inLight(lit, light, colours, asItIs);
      double share = way.share() * (asItIs ? AS_IT_IS : 1);
      if (share > most) {
        most = share;
        best = way;
      }
    }
    float[] out = new float[photo.r().length];
    if (best != null) {
      float[][] own = lit.whole(photo, best.light());
      best.colours().weigh(own[0], own[1], own[2], 0, out.length, out, 0);
      for (int i = 0; i < out.length; i++) {
        out[i] = best.behind()[lit.parts().of()[i]] ? 0 : out[i];
      }
    }
    return out;
  }

  private static Way inLight(
      LitPhoto lit, LitPhoto.Light light, SkinColours colours, boolean asItIs) {
    float[] found = new float[lit.of().length];
    double most = asItIs ? FUR : ROUGH;
    Way first = way(lit, light, colours, found, most);
    if (first.share() == 0 || (asItIs && first.share() >= LITTLE)) {
      return first;
    }
    float by = middle(lit, light, found, first) - colours.hue();
    float hue = colours.hue() + Math.max(-REDDER, Math.min(YELLOWER, by));
    float range = colours.range() * (asItIs ? 1 : WIDER);
    SkinColours moved = new SkinColours(hue, range, colours.floor());
    Way second = way(lit, light, moved, found, most);
    return second.share() > first.share() ? second : first;
  }

  /** Weighs colours; of what is neither behind nor fur the share of the picture is told. */
  private static Way way(
      LitPhoto lit, LitPhoto.Light light, SkinColours colours, float[] found, double most) {
    float[][] lab = light.some();
    int[] of = lit.of();
    Clusters parts = lit.parts();
    colours.weigh(lab[0], lab[1], lab[2], 0, found.length, found, 0);
    double[] mass = new double[Clusters.COUNT];
    for (int i = 0; i < found.length; i++) {
      mass[of[i]] += found[i] / (double) found.length;
    }
    boolean[] behind = behind(mass, parts);
    double all = 0;
    double rough = 0;
    double border = 0;
    double smoothest = smoothest(parts);
    for (int k = 0; k < mass.length; k++) {
      if (!behind[k] && mass[k] > 0) {
        double texture = parts.texture()[k];
        all += mass[k];
        rough += mass[k] * Math.sqrt(Math.max(0, texture * texture - smoothest * smoothest));
        border += parts.border()[k] * Math.min(1, mass[k] / Math.max(1e-9, parts.area()[k]));
      }
    }
    boolean fur = all == 0 || rough / all > most;
    double share = fur ? 0 : all * Math.max(LEAST_INSIDE, 1 - 2 * border);
    return new Way(light, colours, behind, share);
  }

  /** Median of the hue angles of what was found, upright; as asked for where nothing was. */
  private static float middle(LitPhoto lit, LitPhoto.Light light, float[] found, Way way) {
    float[][] lab = light.some();
    float[] angles = new float[found.length];
    int n = 0;
    for (int i = 0; i < found.length; i++) {
      if (found[i] >= FOUND && !way.behind()[lit.of()[i]]) {
        angles[n++] = SkinColours.upright(lab[0][i], lab[1][i], lab[2][i]);
      }
    }
    Arrays.sort(angles, 0, n);
    return n == 0 ? way.colours().hue() : angles[n / 2];
  }

  /** Texture of the smoothest part that is no mere spot: the noise of the photo. */
  private static double smoothest(Clusters parts) {
    double least = Double.MAX_VALUE;
    for (int k = 0; k < Clusters.COUNT; k++) {
      if (parts.area()[k] > LEFT) {
        least = Math.min(least, parts.texture()[k]);
      }
    }
    return least == Double.MAX_VALUE ? 0 : least;
  }

  private static boolean[] behind(double[] mass, Clusters parts) {
    boolean[] out = new boolean[Clusters.COUNT];
    double area = 0;
    double border = 0;
    double left = 0;
    for (int k = 0; k < out.length; k++) {
      double own = parts.area()[k];
      double at = parts.border()[k];
      out[k] = mass[k] > own / 2 && at >= AT_BORDER && at >= OWN_BORDER * own;
      area += out[k] ? own : 0;
      border += out[k] ? at : 0;
      left += out[k] ? 0 : mass[k];
    }
    return area >= WIDE && border >= ROUND && left >= LEFT ? out : new boolean[out.length];
  }
}
