package org.nineveils.mask;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.nineveils.colour.Srgb;
import org.nineveils.colour.SrgbLoops;
import org.nineveils.picture.Picture;

/**
 * Guesses at the light that a photo was taken in, and the photo without them: red, green and blue
 * in linear light are scaled so that what is taken for grey becomes grey at its own luminance (the
 * coefficient rule of J. von Kries, 1902, on sRGB's primaries). No guess is right for all photos:
 * whoever uses them looks at what comes of each.
 */
final class CastOut {
  private static final float[] LUMINANCE = {0.2126f, 0.7152f, 0.0722f};

  /** Gains beyond which no light of a photo lies. */
  private static final double MOST = 3;

  /** Share of light pixels that are taken for the nearest to grey. */
  private static final double NEAREST = 0.15;

  private CastOut() {}

  /** Linear red, green and blue of what may be grey; the first is grey itself. */
  static List<double[]> guesses(Picture p, float[][] lab) {
    List<double[]> out = new ArrayList<>();
    out.add(new double[] {1, 1, 1});
    float[] l = lab[0];
    float[] sorted = l.clone();
    Arrays.sort(sorted);
    for (double share : new double[] {0.5, 0.8}) {
      float from = sorted[(int) (share * (sorted.length - 1))];
      greyest(p, lab, from).ifPresent(out::add);
    }
    out.add(mean(p, null));
    return out;
  }

  /** The mean of the pixels of least chroma among those that are light. */
  private static java.util.Optional<double[]> greyest(Picture p, float[][] lab, float from) {
    int n = lab[0].length;
    float[] chroma = new float[n];
    int light = 0;
    for (int i = 0; i < n; i++) {
      boolean counts =
          lab[0][i] >= from && Math.max(p.r()[i], Math.max(p.g()[i], p.b()[i])) < 0.99f;
      // A light colour is as far from grey as its light is: shares of lightness are compared.
      chroma[i] =
          counts
              ? (float) Math.hypot(lab[1][i], lab[2][i]) / Math.max(5, lab[0][i])
              : Float.MAX_VALUE;
      light += counts ? 1 : 0;
    }
    if (light < 0.01 * n) {
      return java.util.Optional.empty();
    }
    float[] sorted = chroma.clone();
    Arrays.sort(sorted);
    float most = sorted[(int) Math.min(light - 1, NEAREST * light)];
    boolean[] in = new boolean[n];
    for (int i = 0; i < n; i++) {
      in[i] = chroma[i] <= most;
    }
    return java.util.Optional.of(mean(p, in));
  }

  private static double[] mean(Picture p, boolean[] in) {
    double[] sum = new double[3];
    float[][] planes = {p.r(), p.g(), p.b()};
    int n = 0;
    for (int i = 0; i < p.r().length; i++) {
      if (in == null || in[i]) {
        for (int c = 0; c < 3; c++) {
          sum[c] += Srgb.decode(planes[c][i]);
        }
        n++;
      }
    }
    for (int c = 0; c < 3; c++) {
      sum[c] = Math.max(1e-4, sum[c] / Math.max(1, n));
    }
    return sum;
  }

  /** The photo in a light in which that colour is grey. */
  static Picture without(Picture p, double[] grey) {
    double y = LUMINANCE[0] * grey[0] + LUMINANCE[1] * grey[1] + LUMINANCE[2] * grey[2];
    float[][] in = {p.r(), p.g(), p.b()};
    float[][] out = new float[3][p.r().length];
    for (int c = 0; c < 3; c++) {
      float gain = (float) Math.max(1 / MOST, Math.min(MOST, y / grey[c]));
      SrgbLoops.decode(in[c], out[c], out[c].length);
      for (int i = 0; i < out[c].length; i++) {
        out[c][i] = Math.min(1f, out[c][i] * gain);
      }
      float[] linear = out[c].clone();
      SrgbLoops.encode(linear, out[c], linear.length);
    }
    return new Picture(p.width(), p.height(), out[0], out[1], out[2]);
  }
}
