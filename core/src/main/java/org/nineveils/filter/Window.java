package org.nineveils.filter;

import java.util.Arrays;
import org.nineveils.picture.Area;

/** A window of weights that sum to one, the same across and down and to both sides. */
public final class Window {
  /** Radius of a Gaussian in standard deviations; what lies beyond weighs 0.15 %. */
  private static final double CUT = 3.2;

  /** Columns done at a time, so that the rows of a window stay in the cache. */
  private static final int STRIP = 2048;

  /** Weight of the middle, then of the cells to either side. */
  private final float[] weights;

  private Window(double[] raw) {
    double sum = raw[0];
    for (int k = 1; k < raw.length; k++) {
      sum += 2 * raw[k];
    }
    weights = new float[raw.length];
    for (int k = 0; k < raw.length; k++) {
      weights[k] = (float) (raw[k] / sum);
    }
  }

  /**
   * A sampled Gaussian, cut at 3.2 standard deviations.
   *
   * @param sigma standard deviation in cells, above 0
   */
  public static Window gaussian(double sigma) {
    double[] raw = new double[(int) Math.ceil(sigma * CUT) + 1];
    for (int k = 0; k < raw.length; k++) {
      raw[k] = Math.exp(-k * k / (2 * sigma * sigma));
    }
    return new Window(raw);
  }

  /** Equal weights for all cells within the radius. */
  public static Window box(int radius) {
    double[] raw = new double[radius + 1];
    Arrays.fill(raw, 1);
    return new Window(raw);
  }

  /** Cells to either side. */
  public int radius() {
    return weights.length - 1;
  }

  /**
   * The weighted means of a plane.
   *
   * @param in holds the wanted area and what the window sees around it; not changed
   * @param wanted cells to work out
   * @param frame all cells of the grid; beyond them the rim goes on, or the outermost cells
   */
  Plane run(Plane in, Area wanted, Area frame) {
    Plane out = Plane.blank(wanted);
    Parallel.rows(
        wanted.height(),
        (from, to) -> {
          for (int x = 0; x < wanted.width(); x += STRIP) {
            int n = Math.min(STRIP, wanted.width() - x);
            strip(in, out, frame, wanted.x() + x, n, wanted.y() + from, wanted.y() + to);
          }
        });
    return out;
  }

  /*
   * How: for every row first down (rows of the window, each copied once into an array of its own),
   * then across (shifted copies of that sum). Loops over arrays that all begin at 0 become vector
   * code, those with an offset do not: measured 0.1 against 0.75 ns a value.
   */
  private void strip(Plane in, Plane out, Area frame, int x, int n, int top, int bottom) {
    int r = radius();
    float[][] rows = new float[2 * r + 1][n + 2 * r];
    float[] sum = new float[n + 2 * r];
    float[][] shifted = new float[4][n];
    float[] line = new float[n];
    int held = top - r; // rows up to here are in
    for (int y = top; y < bottom; y++) {
      for (; held <= y + r; held++) {
        row(in, frame, x - r, held, rows[Math.floorMod(held, rows.length)]);
      }
      scale(rows[Math.floorMod(y, rows.length)], weights[0], sum, sum.length);
      for (int k = 1; k < r; k += 2) {
        add(at(rows, y - k), at(rows, y + k), k, at(rows, y - k - 1), at(rows, y + k + 1), sum);
      }
      if (r % 2 == 1) {
        add(at(rows, y - r), at(rows, y + r), weights[r], sum, sum.length);
      }
      across(sum, shifted, line);
      System.arraycopy(line, 0, out.values(), out.index(x, y), n);
    }
  }

  private static float[] at(float[][] rows, int y) {
    return rows[Math.floorMod(y, rows.length)];
  }

  private void across(float[] sum, float[][] shifted, float[] line) {
    int r = radius();
    int n = line.length;
    shift(sum, r, shifted[0]);
    scale(shifted[0], weights[0], line, n);
    for (int k = 1; k < r; k += 2) {
      shift(sum, r - k, shifted[0]);
      shift(sum, r + k, shifted[1]);
      shift(sum, r - k - 1, shifted[2]);
      shift(sum, r + k + 1, shifted[3]);
      add(shifted[0], shifted[1], k, shifted[2], shifted[3], line);
    }
    if (r % 2 == 1) {
      shift(sum, 0, shifted[0]);
      shift(sum, 2 * r, shifted[1]);
      add(shifted[0], shifted[1], weights[r], line, n);
    }
  }

  private static void shift(float[] from, int by, float[] to) {
    System.arraycopy(from, by, to, 0, to.length);
  }

  /** A row of the grid from column x on, and what goes on beyond the border. */
  private static void row(Plane in, Area frame, int x, int y, float[] to) {
    Area area = in.area();
    int left = Math.max(x, 0);
    int right = Math.min(x + to.length, frame.width());
    boolean within = y >= 0 && y < frame.height();
    boolean rimmed = in.rim() != null;
    if (within || !rimmed) {
      int row = Math.min(Math.max(y, 0), frame.height() - 1);
      System.arraycopy(in.values(), in.index(left, row), to, left - x, right - left);
    } else {
      int first = left - area.x();
      int from = y < 0 ? Rim.above(area, first) : Rim.below(area, first);
      System.arraycopy(in.rim(), from, to, left - x, right - left);
    }
    if (left > x) {
      Arrays.fill(to, 0, left - x, rimmed ? in.rim()[beyond(area, y, frame, false)] : to[left - x]);
    }
    if (right < x + to.length) {
      float last = rimmed ? in.rim()[beyond(area, y, frame, true)] : to[right - x - 1];
      Arrays.fill(to, right - x, to.length, last);
    }
  }

  /** Where the rim says what goes on to the left or right of a row. */
  private static int beyond(Area area, int y, Area frame, boolean right) {
    int end = right ? area.width() : -1;
    if (y < 0) {
      return Rim.above(area, end);
    }
    if (y >= frame.height()) {
      return Rim.below(area, end);
    }
    return right ? Rim.right(area, y - area.y()) : Rim.left(y - area.y());
  }

  private static void scale(float[] in, float weight, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = in[i] * weight;
    }
  }

  private static void add(float[] p, float[] q, float weight, float[] sum, int n) {
    for (int i = 0; i < n; i++) {
      sum[i] += (p[i] + q[i]) * weight;
    }
  }

  /** Two steps of the window in one go, the second added to the first: the same bits. */
  private void add(float[] p, float[] q, int k, float[] s, float[] t, float[] sum) {
    float near = weights[k];
    float far = weights[k + 1];
    for (int i = 0; i < sum.length; i++) {
      sum[i] = (sum[i] + (p[i] + q[i]) * near) + (s[i] + t[i]) * far;
    }
  }
}
