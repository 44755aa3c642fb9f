package org.nineveils.veil.soft;

import org.nineveils.filter.Field;
import org.nineveils.filter.Plane;
import org.nineveils.kernel.Around;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.GaussianKernel;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.Limit;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;

/** Gaussian blur of the three channels; see {@link org.nineveils.filter.Gaussian}. */
final class Blur extends GaussianKernel {
  /**
   * Prepares a blur.
   *
   * @param sigma standard deviation, pixels
   */
  Blur(double sigma, Frame frame) {
    super(sigma, frame);
  }

  @Override
  public Kernel over(Part in, Area wanted, Around around) {
    Plane[] coarse = reduced(in, wanted);
    Field[] soft = new Field[3];
    for (int c = 0; c < 3; c++) {
      soft[c] = gaussian.blur(coarse[c], wanted);
    }
    return new Blurred(soft);
  }

  /** The last stage: what was blurred, drawn out to pixels. */
  @SuppressWarnings("ArrayRecordComponent") // made and used here alone
  private record Blurred(Field[] soft) implements Kernel {
    @Override
    public void run(Band in, Band out, int n, int x, int y, Band spare) {
      soft[0].row(x, y, n, out.r, spare.t);
      soft[1].row(x, y, n, out.g, spare.t);
      soft[2].row(x, y, n, out.b, spare.t);
      Limit.toRange(out, n);
    }

    @Override
    public boolean readsInput() {
      return false;
    }
  }
}
