package org.nineveils.stack;

import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;

/**
 * A kernel of a whole photo that runs over a part of it, which counts its pixels from its own
 * corner.
 *
 * @param dx left edge of the part, pixels
 * @param dy top edge of the part, pixels
 */
record Shifted(Kernel kernel, int dx, int dy) implements Kernel {
  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    kernel.run(in, out, n, x + dx, y + dy, spare);
  }

  @Override
  public boolean readsInput() {
    return kernel.readsInput();
  }

  @Override
  public long bytes() {
    return kernel.bytes();
  }
}
