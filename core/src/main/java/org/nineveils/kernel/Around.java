package org.nineveils.kernel;

import org.nineveils.filter.Level;
import org.nineveils.filter.Plane;
import org.nineveils.filter.Stretched;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/** What a veil that looks around may ask for besides the part of the picture that it is given. */
public interface Around {
  /** The whole picture below the veil, small. */
  Picture overview();

  /**
   * What was worked out on the {@link #overview}, on a grid over the picture that is rendered.
   *
   * @param level the grid
   * @param cells that are wanted
   * @param small values of every pixel of the overview
   */
  default Plane stretched(Level level, Area cells, Plane small) {
    return Stretched.to(level, cells, small);
  }

  /**
   * Asked between long steps.
   *
   * @throws RuntimeException that ends the work, if nobody waits for it any more
   */
  void carryOn();
}
