package org.nineveils.mask;

import java.util.Arrays;
import org.nineveils.filter.Evenly;
import org.nineveils.filter.Gaussian;
import org.nineveils.picture.Picture;

/**
 * A small photo in parts of like colour (the k-means method of S. Lloyd, 1982, in L*a*b* with
 * lightness at half its weight), and what form and place say of each.
 *
 * @param of part of every pixel
 * @param area share of the picture that each part has
 * @param border share of the picture's border that each part has
 * @param texture of each part, the median of what lies finer than a blur of 4 ‰ of the long side,
 *     L*
 */
@SuppressWarnings("ArrayRecordComponent") // handed over, never compared
record Clusters(int[] of, double[] area, double[] border, double[] texture) {
  static final int COUNT = 10;
  private static final int ROUNDS = 12;

  /** One of so many pixels is looked at until the parts are found. */
  private static final int EVERY = 7;

  private static final float LIGHTNESS = 0.5f;
  private static final double FINE = 0.004;

  static Clusters of(Picture p, float[][] lab) {
    int n = lab[0].length;
    int[] of = new int[n];
    float[][] centres = first(lab, Evenly.some(n, EVERY));
    int[] some = Evenly.some(n, EVERY);
    for (int round = 0; round < ROUNDS; round++) {
      assign(lab, centres, some, of);
      move(lab, centres, some, of);
    }
    assign(lab, centres, Evenly.some(n, 1), of);
    double[] area = new double[COUNT];
    double[] border = new double[COUNT];
    int w = p.width();
    int h = p.height();
    for (int i = 0; i < n; i++) {
      area[of[i]] += 1.0 / n;
      int x = i % w;
      int y = i / w;
      if (x == 0 || y == 0 || x == w - 1 || y == h - 1) {
        border[of[i]] += 1.0 / (2 * w + 2 * h - 4);
      }
    }
    return new Clusters(of, area, border, texture(p, lab[0], of));
  }

  /**
   * Centres to begin with: each the pixel that lies farthest from those before (by a coarse walk).
   */
  private static float[][] first(float[][] lab, int[] places) {
    int n = lab[0].length;
    float[][] centres = new float[COUNT][3];
    float[] nearest = new float[n];
    Arrays.fill(nearest, Float.MAX_VALUE);
    double[] mean = new double[3];
    for (int c = 0; c < 3; c++) {
      for (int i : places) {
        mean[c] += lab[c][i];
      }
      centres[0][c] = (float) (mean[c] / places.length);
    }
    for (int k = 1; k < COUNT; k++) {
      int far = 0;
      for (int i : places) {
        nearest[i] = Math.min(nearest[i], apart(lab, i, centres[k - 1]));
        far = nearest[i] > nearest[far] || nearest[far] == Float.MAX_VALUE ? i : far;
      }
      for (int c = 0; c < 3; c++) {
        centres[k][c] = lab[c][far];
      }
    }
    return centres;
  }

  private static float apart(float[][] lab, int i, float[] centre) {
    float l = LIGHTNESS * (lab[0][i] - centre[0]);
    float a = lab[1][i] - centre[1];
    float b = lab[2][i] - centre[2];
    return l * l + a * a + b * b;
  }

  private static void assign(float[][] lab, float[][] centres, int[] places, int[] of) {
    for (int i : places) {
      float least = Float.MAX_VALUE;
      for (int k = 0; k < COUNT; k++) {
        float d = apart(lab, i, centres[k]);
        if (d < least) {
          least = d;
          of[i] = k;
        }
      }
    }
  }

  private static void move(float[][] lab, float[][] centres, int[] places, int[] of) {
    double[][] sums = new double[COUNT][4];
    for (int i : places) {
      double[] sum = sums[of[i]];
      for (int c = 0; c < 3; c++) {
        sum[c] += lab[c][i];
      }
      sum[3]++;
    }
    for (int k = 0; k < COUNT; k++) {
      if (sums[k][3] > 0) {
        for (int c = 0; c < 3; c++) {
          centres[k][c] = (float) (sums[k][c] / sums[k][3]);
        }
      }
    }
  }

  private static double[] texture(Picture p, float[] l, int[] of) {
    float[] blurred = Gaussian.whole(l, p.area(), Math.max(1, FINE * p.longSide()));
    int[][] counts = new int[COUNT][400];
    int[] all = new int[COUNT];
    for (int i = 0; i < l.length; i++) {
      double own = Math.abs(l[i] - blurred[i]);
      counts[of[i]][(int) Math.min(399, own * 50)]++;
      all[of[i]]++;
    }
    double[] out = new double[COUNT];
    for (int k = 0; k < COUNT; k++) {
      int below = 0;
      int bin = 0;
      while (bin < 399 && 2 * (below + counts[k][bin]) < all[k]) {
        below += counts[k][bin++];
      }
      out[k] = bin / 50.0;
    }
    return out;
  }
}
