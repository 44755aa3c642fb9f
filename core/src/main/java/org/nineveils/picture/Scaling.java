package org.nineveils.picture;

import java.util.stream.IntStream;

/**
 * Makes a picture smaller by area averaging: every result pixel is the mean of the source area that
 * it covers, partly covered pixels counting by their share. Works on the encoded values, as
 * browsers and the common libraries do, so that a preview and a downscaled result look alike.
 */
public final class Scaling {
  private Scaling() {}

  /**
   * The picture with a long side of at most {@code longSide} pixels.
   *
   * @param picture the picture; returned as it is where it is small enough
   * @param longSide pixels, at least 1
   */
  public static Picture toLongSide(Picture picture, int longSide) {
    if (picture.longSide() <= longSide) {
      return picture;
    }
    double share = longSide / (double) picture.longSide();
    int w = Math.max(1, (int) Math.round(picture.width() * share));
    int h = Math.max(1, (int) Math.round(picture.height() * share));
    return new Picture(
        w,
        h,
        shrink(picture.r(), picture.width(), picture.height(), w, h),
        shrink(picture.g(), picture.width(), picture.height(), w, h),
        shrink(picture.b(), picture.width(), picture.height(), w, h));
  }

  private static float[] shrink(float[] in, int sw, int sh, int w, int h) {
    float[] out = new float[w * h];
    Span[] columns = Span.cover(sw, w);
    Span[] rows = Span.cover(sh, h);
    IntStream.range(0, h)
        .parallel()
        .forEach(
            y -> {
              float[] sum = new float[sw];
              Span row = rows[y];
              for (int k = 0; k < row.weights.length; k++) {
                addRow(in, (row.first + k) * sw, row.weights[k], sum);
              }
              for (int x = 0; x < w; x++) {
                Span column = columns[x];
                float v = 0;
                for (int k = 0; k < column.weights.length; k++) {
                  v += sum[column.first + k] * column.weights[k];
                }
                out[y * w + x] = v;
              }
            });
    return out;
  }

  private static void addRow(float[] in, int from, float weight, float[] sum) {
    for (int x = 0; x < sum.length; x++) {
      sum[x] += in[from + x] * weight;
    }
  }

  /** The source pixels under one result pixel, along one axis, with weights that sum to one. */
  private static final class Span {
    final int first;
    final float[] weights;

    private Span(int first, float[] weights) {
      this.first = first;
      this.weights = weights;
    }

    static Span[] cover(int source, int result) {
      Span[] spans = new Span[result];
      double step = source / (double) result;
      for (int i = 0; i < result; i++) {
        double from = i * step;
        double to = Math.min(source, (i + 1) * step);
        int first = (int) from;
        int last = Math.min(source - 1, (int) Math.ceil(to) - 1);
        float[] weights = new float[last - first + 1];
        for (int k = first; k <= last; k++) {
          weights[k - first] = (float) ((Math.min(k + 1.0, to) - Math.max(k, from)) / (to - from));
        }
        spans[i] = new Span(first, weights);
      }
      return spans;
    }
  }
}
