package org.nineveils.filter;

import org.nineveils.picture.Area;

/**
 * Gaussian blur of any width at about the same cost.
 *
 * <p>Up to a standard deviation of 4 pixels the sampled Gaussian itself, cut at 3.2 standard
 * deviations. Above, on a coarser grid where it spans 2 to 4 cells; the spread that taking means
 * and reading by straight lines bring along is taken off the Gaussian's own ((f² − 1)/12 and (f² −
 * 1)/6, variances of the discrete box and triangle). Accuracy against the full Gaussian: within
 * 0.01 on a black-to-white edge (a test holds it to that). Beyond the border the outermost pixels
 * go on.
 */
public final class Gaussian {
  private static final double CELLS = 2;

  private final Level level;
  private final Window window;

  /**
   * Prepares a blur.
   *
   * @param sigma standard deviation, pixels, above 0
   * @param picture the whole picture
   */
  public Gaussian(double sigma, Area picture) {
    level = Level.spanning(sigma, CELLS, picture);
    double f = level.factor();
    double own = sigma * sigma - (f * f - 1) / 12 - (f * f - 1) / 6;
    window = Window.gaussian(Math.sqrt(own) / f);
  }

  /**
   * A whole channel blurred.
   *
   * @param channel of every pixel of the picture; not changed
   * @param sigma standard deviation, pixels, above 0
   */
  public static float[] whole(float[] channel, Area picture, double sigma) {
    Gaussian gaussian = new Gaussian(sigma, picture);
    return gaussian
        .blur(gaussian.reduce(new Plane(picture, channel), picture), picture)
        .values(picture);
  }

  /** How far it looks, pixels. */
  public int reach() {
    return level.reach(window.radius());
  }

  /** What the edges of the part that it is given must be multiples of. */
  public int grid() {
    return level.factor();
  }

  /**
   * A channel on the grid that is worked on, as far as a wanted area needs it.
   *
   * @param in the channel; holds the wanted area with the reach around it
   * @param wanted pixels
   */
  public Plane reduce(Plane in, Area wanted) {
    Area cells = level.cellsAround(wanted).around(window.radius(), 1, level.frame());
    Plane reduced = Reduce.to(level, in, cells);
    return level.factor() == 1
        ? reduced
        : new Plane(cells, reduced.values(), Rim.of(level, in, cells));
  }

  /**
   * Blurs a channel.
   *
   * @param reduced from {@link #reduce} for the same area; not changed
   * @param wanted pixels
   */
  public Field blur(Plane reduced, Area wanted) {
    return new Field(level, window.run(reduced, level.cellsAround(wanted), level.frame()));
  }
}
