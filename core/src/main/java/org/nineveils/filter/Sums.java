package org.nineveils.filter;

import org.nineveils.colour.Luma;
import org.nineveils.picture.Area;

/**
 * Means over the cells of a coarser grid of a guide, its square, channels and their products with
 * the guide, all from one reading of the picture: what takes time is to fetch the pixels.
 */
final class Sums {
  /** Pixels of a row taken at a time, so that all sums stay in the cache. */
  private static final int RUN = 2048;

  /** Rows of pixels that one task takes. */
  private static final int ROWS = 32;

  private final Level level;
  private final Plane[] guide;
  private final Plane[] channels;
  private final Area cells;

  /** Mean of the guide, of its square, then of each channel and its product. */
  private final Plane[] out;

  private Sums(Level level, Plane[] guide, Plane[] channels, Area cells) {
    this.level = level;
    this.guide = guide;
    this.channels = channels;
    this.cells = cells;
    this.out = new Plane[2 + 2 * channels.length];
    for (int i = 0; i < out.length; i++) {
      out[i] = Plane.blank(cells);
    }
  }

  /**
   * Takes the means.
   *
   * @param guide one plane, or red, green and blue, whose luma is the guide; on the picture's own
   *     grid, with all pixels of the cells
   * @param channels likewise
   * @param cells that are wanted
   */
  static Guided.Moments of(Level level, Plane[] guide, Plane[] channels, Area cells) {
    Sums sums = new Sums(level, guide, channels, cells);
    Parallel.blocks(
        cells.height(), Math.max(1, ROWS / level.factor()), (from, to) -> sums.rows(from, to));
    Plane[] means = new Plane[channels.length];
    Plane[] products = new Plane[channels.length];
    for (int c = 0; c < channels.length; c++) {
      means[c] = sums.out[2 + 2 * c];
      products[c] = sums.out[3 + 2 * c];
    }
    return new Guided.Moments(sums.out[0], sums.out[1], means, products);
  }

  private void rows(int from, int to) {
    int f = level.factor();
    int step = Math.max(1, RUN / f); // cells
    int most = Math.min(step * f, cells.width() * f);
    float[][] read = new float[3][most];
    float[] own = new float[most];
    float[][] sums = new float[out.length][most];
    for (int j = from; j < to; j++) {
      int top = (cells.y() + j) * f;
      int bottom = Math.min(top + f, level.picture().height());
      for (int i = 0; i < cells.width(); i += step) {
        int count = Math.min(step, cells.width() - i);
        int left = (cells.x() + i) * f;
        int n = Math.min(count * f, level.picture().width() - left);
        for (int y = top; y < bottom; y++) {
          guide(left, y, n, read, own);
          add(own, sums[0], n, y == top);
          addProduct(own, own, sums[1], n, y == top);
          for (int c = 0; c < channels.length; c++) {
            float[] values = read(channels[c], left, y, n, read);
            add(values, sums[2 + 2 * c], n, y == top);
            addProduct(values, own, sums[3 + 2 * c], n, y == top);
          }
        }
        for (int k = 0; k < out.length; k++) {
          fold(sums[k], n, f, bottom - top, out[k].values(), j * cells.width() + i, count);
        }
      }
    }
  }

  /**
   * Leaves the guide in {@code own} and, where it is a luma, its three channels in {@code read}.
   */
  private void guide(int x, int y, int n, float[][] read, float[] own) {
    if (guide.length == 1) {
      System.arraycopy(guide[0].values(), guide[0].index(x, y), own, 0, n);
      return;
    }
    for (int c = 0; c < 3; c++) {
      System.arraycopy(guide[c].values(), guide[c].index(x, y), read[c], 0, n);
    }
    Luma.run(read[0], read[1], read[2], own, n);
  }

  /** A run of a channel, which may have been read for the guide. */
  private float[] read(Plane channel, int x, int y, int n, float[][] read) {
    for (int c = 0; c < guide.length && guide.length == 3; c++) {
      if (channel.values() == guide[c].values()) {
        return read[c];
      }
    }
    System.arraycopy(channel.values(), channel.index(x, y), read[0], 0, n);
    return read[0];
  }

  private static void add(float[] row, float[] sum, int n, boolean first) {
    if (first) {
      System.arraycopy(row, 0, sum, 0, n);
      return;
    }
    for (int i = 0; i < n; i++) {
      sum[i] += row[i];
    }
  }

  private static void addProduct(float[] p, float[] q, float[] sum, int n, boolean first) {
    if (first) {
      for (int i = 0; i < n; i++) {
        sum[i] = p[i] * q[i];
      }
      return;
    }
    for (int i = 0; i < n; i++) {
      sum[i] += p[i] * q[i];
    }
  }

  /**
   * Sums over rows to means over cells.
   *
   * @param n values of the sums; the last cell may be cut off
   * @param rows that were summed
   */
  static void fold(float[] sum, int n, int f, int rows, float[] out, int at, int count) {
    float share = 1f / (f * rows);
    int whole = n / f;
    switch (f) {
      case 2 -> byTwo(sum, share, out, at, whole);
      case 4 -> byFour(sum, share, out, at, whole);
      default -> {
        for (int i = 0; i < whole; i++) {
          float v = 0;
          for (int k = i * f; k < i * f + f; k++) {
            v += sum[k];
          }
          out[at + i] = v * share;
        }
      }
    }
    if (whole < count) {
      float v = 0;
      for (int k = whole * f; k < n; k++) {
        v += sum[k];
      }
      out[at + whole] = v / ((n - whole * f) * rows);
    }
  }

  private static void byTwo(float[] sum, float share, float[] out, int at, int count) {
    for (int i = 0; i < count; i++) {
      out[at + i] = (sum[2 * i] + sum[2 * i + 1]) * share;
    }
  }

  private static void byFour(float[] sum, float share, float[] out, int at, int count) {
    for (int i = 0; i < count; i++) {
      int k = 4 * i;
      out[at + i] = (sum[k] + sum[k + 1] + sum[k + 2] + sum[k + 3]) * share;
    }
  }
}
