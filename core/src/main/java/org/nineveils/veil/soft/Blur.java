package org.nineveils.veil.soft;

import java.util.function.Supplier;
import org.nineveils.filter.Field;
import org.nineveils.filter.Gaussian;
import org.nineveils.filter.Plane;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.veil.AreaKernel;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.Limit;

/** Gaussian blur of the three channels; see {@link Gaussian}. */
final class Blur implements AreaKernel {
  private final Gaussian gaussian;

  /**
   * Prepares a blur.
   *
   * @param sigma standard deviation, pixels
   */
  Blur(double sigma, Frame frame) {
    gaussian = new Gaussian(sigma, frame.area());
  }

  @Override
  public int reach() {
    return gaussian.reach();
  }

  @Override
  public int grid() {
    return gaussian.grid();
  }

  @Override
  public Kernel over(Part in, Area wanted, Supplier<Picture> overview) {
    Plane[] rgb = Plane.of(in);
    Field[] soft = new Field[3];
    for (int c = 0; c < 3; c++) {
      soft[c] = gaussian.blur(gaussian.reduce(rgb[c], wanted), wanted);
    }
    return (from, out, n, x, y, spare) -> {
      soft[0].row(x, y, n, out.r, spare.t);
      soft[1].row(x, y, n, out.g, spare.t);
      soft[2].row(x, y, n, out.b, spare.t);
      Limit.toRange(out, n);
    };
  }
}
