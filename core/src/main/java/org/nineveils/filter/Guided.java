package org.nineveils.filter;

import java.util.stream.IntStream;
import org.nineveils.picture.Area;

/**
 * The guided filter: smooths a channel but keeps the edges that a guide has. In every window the
 * result is a straight function of the guide, a · guide + b, with a = cov / (var + ε) and b = mean
 * − a · mean of the guide; both are averaged over all windows that see a pixel.
 *
 * <p>Source: K. He, J. Sun, X. Tang, "Guided Image Filtering", IEEE TPAMI 35 (2013), equations 5, 6
 * and 8; on a coarser grid as in K. He, J. Sun, "Fast Guided Filter", arXiv 1505.00996 (2015), but
 * with products averaged over cells instead of averages multiplied. The window here is a Gaussian
 * instead of a box, so that its width can be set without steps.
 */
public final class Guided {
  /** Cells that a standard deviation spans at least; the guide keeps edges sharp all the same. */
  private static final double CELLS = 0.9;

  private final Level level;
  private final Window window;
  private final float epsilon;

  /**
   * Prepares the filter.
   *
   * @param sigma standard deviation of the window, pixels, above 0
   * @param edge step of the guide of which half is kept, above 0. A step Δ in the middle of a
   *     window has the variance Δ²/4, so ε = (edge/2)²
   * @param picture the whole picture
   */
  public Guided(double sigma, double edge, Area picture) {
    this(Level.spanning(sigma, CELLS, picture), sigma, edge);
  }

  private Guided(Level level, double sigma, double edge) {
    this(level, Window.gaussian(inCells(sigma, level.factor())), edge * edge / 4);
  }

  /** Averaging over a cell of f pixels is a window too, of the variance (f² − 1) / 12. */
  private static double inCells(double sigma, int f) {
    return Math.sqrt(sigma * sigma - (f * f - 1) / 12.0) / f;
  }

  /**
   * Prepares the filter on a given grid.
   *
   * @param level the grid that means are taken on
   * @param window of cells of that grid
   * @param epsilon variance of the guide of which half is kept
   */
  public Guided(Level level, Window window, double epsilon) {
    this.level = level;
    this.window = window;
    this.epsilon = (float) epsilon;
  }

  /** How far it looks, pixels. */
  public int reach() {
    return level.reach(2 * window.radius());
  }

  /** What the edges of the part that it is given must be multiples of. */
  public int grid() {
    return level.factor();
  }

  /** A straight function of the guide for every pixel: slope · guide + offset. */
  public record Line(Field slope, Field offset) {
    /**
     * The filtered values of a run of pixels.
     *
     * @param guide the guide of these pixels; not changed
     * @param x column of the first pixel in the whole picture
     * @param y row in the whole picture
     * @param out receives n values; another array than the guide
     * @param slopes scratch, at least n values
     * @param cells scratch, at least n + {@link Field#SLACK} values
     */
    public void run(
        float[] guide, int x, int y, int n, float[] out, float[] slopes, float[] cells) {
      slope.row(x, y, n, slopes, cells);
      offset.row(x, y, n, out, cells);
      for (int i = 0; i < n; i++) {
        out[i] += slopes[i] * guide[i];
      }
    }

    /**
     * The filtered values of an area, kept within 0…1.
     *
     * @param guide holds the area
     */
    public float[] over(Plane guide, Area area) {
      float[] out = new float[area.pixels()];
      IntStream.range(0, area.height())
          .parallel()
          .forEach(
              row -> {
                int n = area.width();
                float[] own = new float[n];
                float[] line = new float[n];
                int y = area.y() + row;
                System.arraycopy(guide.values(), guide.index(area.x(), y), own, 0, n);
                run(own, area.x(), y, n, line, new float[n], new float[n + Field.SLACK]);
                for (int i = 0; i < n; i++) {
                  out[row * n + i] = Math.min(1f, Math.max(0f, line[i]));
                }
              });
      return out;
    }
  }

  /**
   * What the filter knows of a guide and channels: means over cells of these and of their products.
   * The products are averaged too, so what is finer than a cell counts as the variance that it is.
   *
   * @param guide means of the guide
   * @param square means of its square
   * @param channels means of the channels
   * @param products means of each channel times the guide
   */
  @SuppressWarnings("ArrayRecordComponent") // planes, shared and not copied
  public record Moments(Plane guide, Plane square, Plane[] channels, Plane[] products) {
    /** The same with the guide as one more channel, the last. */
    public Moments andItself() {
      int n = channels.length;
      Plane[] more = java.util.Arrays.copyOf(channels, n + 1);
      Plane[] moreProducts = java.util.Arrays.copyOf(products, n + 1);
      more[n] = guide;
      moreProducts[n] = square;
      return new Moments(guide, square, more, moreProducts);
    }

    /** The same guide with a channel that is alike all over each cell. */
    public Moments alike(Plane cells) {
      Plane product = Plane.blank(cells.area());
      for (int i = 0; i < product.values().length; i++) {
        product.values()[i] = cells.values()[i] * guide.values()[i];
      }
      return new Moments(guide, square, new Plane[] {cells}, new Plane[] {product});
    }
  }

  /**
   * Takes the means of a guide and channels, as far as a wanted area needs them.
   *
   * @param guide one plane, or red, green and blue, whose luma is the guide; holds the wanted area
   *     with the reach around it
   * @param channels as the guide; for the guide itself see {@link Moments#andItself}
   * @param wanted pixels
   */
  public Moments moments(Plane[] guide, Plane[] channels, Area wanted) {
    return Sums.of(level, guide, channels, outer(wanted));
  }

  /** The grid that is worked on. */
  public Level level() {
    return level;
  }

  /** The cells that {@link #moments} are taken of. */
  public Area cells(Area wanted) {
    return outer(wanted);
  }

  private Area inner(Area wanted) {
    return level.cellsAround(wanted).around(window.radius(), 1, level.frame());
  }

  private Area outer(Area wanted) {
    return level.cellsAround(wanted).around(2 * window.radius(), 1, level.frame());
  }

  /**
   * Filters channels by a guide.
   *
   * @param wanted pixels, those of the moments
   * @return a line for every channel
   */
  public Line[] lines(Moments of, Area wanted) {
    Area frame = level.frame();
    Area cells = level.cellsAround(wanted);
    Area inner = inner(wanted);
    Plane mean = window.run(of.guide(), inner, frame);
    Plane square = window.run(of.square(), inner, frame);
    Line[] lines = new Line[of.channels().length];
    for (int c = 0; c < lines.length; c++) {
      boolean self = of.channels()[c].equals(of.guide()); // the same arrays
      Plane ownMean = self ? mean : window.run(of.channels()[c], inner, frame);
      Plane both = self ? square : window.run(of.products()[c], inner, frame);
      Plane slope = Plane.blank(inner);
      Plane offset = Plane.blank(inner);
      solve(mean.values(), square.values(), ownMean.values(), both.values(), slope, offset);
      lines[c] =
          new Line(
              new Field(level, window.run(slope, cells, frame)),
              new Field(level, window.run(offset, cells, frame)));
    }
    return lines;
  }

  private void solve(
      float[] mean, float[] square, float[] ownMean, float[] both, Plane slope, Plane offset) {
    float[] a = slope.values();
    float[] b = offset.values();
    float e = epsilon;
    for (int i = 0; i < a.length; i++) {
      a[i] = (both[i] - mean[i] * ownMean[i]) / (Math.max(0f, square[i] - mean[i] * mean[i]) + e);
    }
    for (int i = 0; i < b.length; i++) {
      b[i] = ownMean[i] - a[i] * mean[i];
    }
  }
}
