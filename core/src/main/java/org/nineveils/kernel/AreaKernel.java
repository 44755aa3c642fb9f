package org.nineveils.kernel;

import org.nineveils.picture.Area;
import org.nineveils.picture.Part;

/**
 * The maths of a veil that looks at the neighbourhood of each pixel. It looks once over the part of
 * the picture that is wanted and then gives a kernel that works out each pixel from what was seen.
 *
 * <p>The same bits must come out whatever part is wanted, so what is seen may depend only on places
 * in the whole picture.
 */
public non-sealed interface AreaKernel extends Adjustment {
  /** How far it looks, in pixels to every side. */
  int reach();

  /** What the edges of the part that it is given must be multiples of: a power of two. */
  int grid();

  /**
   * Looks over a part.
   *
   * @param in what lies below the veil: the wanted area with the reach around it, on the grid, as
   *     far as the picture goes; not changed, kept by the kernel as long as it is used
   * @param wanted pixels that the kernel will be asked for
   * @param around what else it may ask for
   */
  Kernel over(Part in, Area wanted, Around around);

  /** Whether it asks for the overview, so that a change anywhere may change it everywhere. */
  default boolean looksAtWhole() {
    return false;
  }

  /** The part of the picture that it must be given. */
  default Area needs(Area wanted, Area picture) {
    return wanted.around(reach(), grid(), picture);
  }
}
