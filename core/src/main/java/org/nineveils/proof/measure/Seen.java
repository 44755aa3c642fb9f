package org.nineveils.proof.measure;

import java.util.HashMap;
import java.util.Map;
import java.util.function.Supplier;
import org.nineveils.colour.Lab;
import org.nineveils.colour.LabLoops;
import org.nineveils.colour.Luma;
import org.nineveils.colour.Oklab;
import org.nineveils.colour.SrgbLoops;
import org.nineveils.filter.Gaussian;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Quantise;

/**
 * A picture as measures look at it: what several of them need is worked out once. For any threads.
 */
final class Seen {
  private final Picture picture;
  private final double longSide;
  private final Map<String, Object> known = new HashMap<>();

  Seen(Picture picture) {
    this(picture, picture.longSide());
  }

  /**
   * A part of a larger picture.
   *
   * @param longSide of that picture, pixels: what shares are of
   */
  Seen(Picture picture, double longSide) {
    this.picture = picture;
    this.longSide = longSide;
  }

  /** What shares are of, pixels. */
  double longSide() {
    return longSide;
  }

  Picture picture() {
    return picture;
  }

  /** Works something out, or gives what was worked out under that name before. */
  @SuppressWarnings("unchecked") // what is known under a name was made by the same caller
  synchronized <T> T once(String name, Supplier<T> make) {
    Object found = known.get(name);
    if (found == null) {
      found = make.get();
      known.put(name, found);
    }
    return (T) found;
  }

  /** L*, a*, b* of every pixel. */
  float[][] lab() {
    return once(
        "lab", () -> lab(picture.r().clone(), picture.g().clone(), picture.b().clone(), pixels()));
  }

  /**
   * L*, a*, b* of some pixels, in their order.
   *
   * @param of what they are; the same name is always given with the same places
   */
  float[][] lab(String of, int[] places) {
    return once(
        "lab of " + of,
        () ->
            lab(
                at(picture.r(), places, places.length),
                at(picture.g(), places, places.length),
                at(picture.b(), places, places.length),
                places.length));
  }

  /** Medians of L*, a* and b*, each on its own, of the pixels of a region; see {@link Medians}. */
  Lab median(String region, int[] places) {
    return once("median of " + region, () -> Medians.of(lab("region " + region, places)));
  }

  private static float[][] lab(float[] r, float[] g, float[] b, int n) {
    LabLoops.fromSrgb(r, g, b, new float[3][n], n);
    return new float[][] {r, g, b};
  }

  /** Luma of every pixel, encoded. */
  float[] luma() {
    return once(
        "luma",
        () -> {
          float[] out = new float[pixels()];
          Luma.run(picture.r(), picture.g(), picture.b(), out, out.length);
          return out;
        });
  }

  /** Luma of every pixel in codes of 256. */
  int[] codes() {
    return once("codes", () -> codes(luma()));
  }

  private static int[] codes(float[] luma) {
    int[] out = new int[luma.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = Quantise.to8(luma[i]);
    }
    return out;
  }

  /** The lowest and the highest channel of every pixel, encoded. */
  float[][] ends() {
    return once(
        "ends",
        () -> {
          float[][] out = new float[2][pixels()];
          ends(picture.r(), picture.g(), picture.b(), out[0], out[1]);
          return out;
        });
  }

  private static void ends(float[] r, float[] g, float[] b, float[] low, float[] high) {
    for (int i = 0; i < low.length; i++) {
      low[i] = Math.min(r[i], Math.min(g[i], b[i]));
    }
    for (int i = 0; i < high.length; i++) {
      high[i] = Math.max(r[i], Math.max(g[i], b[i]));
    }
  }

  /**
   * Chroma in Oklab, about 0…0.33, of pixels whose channels lie at least {@link #WIDE} apart; 0 for
   * the others, whose chroma is below {@link NewNeon#NEON}.
   */
  float[] strongChroma() {
    return once("chroma", this::chromas);
  }

  /** Less than this between the channels makes no neon: a test holds it over all of sRGB. */
  static final float WIDE = 0.4f;

  private float[] chromas() {
    float[][] ends = ends();
    int[] places = new int[pixels()];
    int n = 0;
    for (int i = 0; i < places.length; i++) {
      places[n] = i;
      n += ends[1][i] - ends[0][i] >= WIDE ? 1 : 0;
    }
    float[][] planes = {
      at(picture.r(), places, n), at(picture.g(), places, n), at(picture.b(), places, n)
    };
    float[][] work = new float[3][n];
    for (int c = 0; c < 3; c++) {
      SrgbLoops.decode(planes[c], work[0], n);
      System.arraycopy(work[0], 0, planes[c], 0, n);
    }
    Oklab.fromLinear(planes[0], planes[1], planes[2], work, n);
    float[] out = new float[pixels()];
    for (int i = 0; i < n; i++) {
      float a = planes[1][i];
      float b = planes[2][i];
      out[places[i]] = (float) Math.sqrt(a * a + b * b);
    }
    return out;
  }

  /** Chroma in Oklab of one pixel. */
  float chroma(int pixel) {
    float[][] planes = new float[3][1];
    float[][] rgb = {picture.r(), picture.g(), picture.b()};
    for (int c = 0; c < 3; c++) {
      SrgbLoops.decode(new float[] {rgb[c][pixel]}, planes[c], 1);
    }
    Oklab.fromLinear(planes[0], planes[1], planes[2], new float[3][1], 1);
    return (float) Math.hypot(planes[1][0], planes[2][0]);
  }

  private static float[] at(float[] plane, int[] places, int n) {
    float[] out = new float[n];
    for (int i = 0; i < n; i++) {
      out[i] = plane[places[i]];
    }
    return out;
  }

  /**
   * Luma blurred.
   *
   * @param share standard deviation, share of the long side
   */
  float[] blurred(double share) {
    return once("blurred " + share, () -> blurred(luma(), share));
  }

  /** A plane of it blurred by a share of the long side. */
  float[] blurred(float[] plane, double share) {
    return Gaussian.whole(plane, picture.area(), share * longSide);
  }

  private int pixels() {
    return picture.area().pixels();
  }
}
