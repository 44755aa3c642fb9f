package org.nineveils.kernel;

import org.nineveils.filter.Gaussian;
import org.nineveils.filter.Plane;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;

/** A veil that looks around as far as one Gaussian does. */
public abstract class GaussianKernel implements AreaKernel {
  /** Narrowest standard deviation, pixels: below, a grid of pixels holds nothing to tell apart. */
  private static final double NARROWEST = 0.3;

  protected final Gaussian gaussian;

  /**
   * Prepares the Gaussian.
   *
   * @param sigma standard deviation, pixels; taken as 0.3 at the least
   */
  protected GaussianKernel(double sigma, Frame frame) {
    gaussian = new Gaussian(Math.max(NARROWEST, sigma), frame.area());
  }

  @Override
  public int reach() {
    return gaussian.reach();
  }

  @Override
  public int grid() {
    return gaussian.grid();
  }

  /** Red, green and blue on the Gaussian's own grid. */
  protected Plane[] reduced(Part in, Area wanted) {
    Plane[] rgb = Plane.of(in);
    Plane[] coarse = new Plane[rgb.length];
    for (int c = 0; c < rgb.length; c++) {
      coarse[c] = gaussian.reduce(rgb[c], wanted);
    }
    return coarse;
  }
}
