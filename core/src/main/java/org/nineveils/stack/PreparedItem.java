package org.nineveils.stack;

import org.nineveils.picture.Area;
import org.nineveils.veil.Adjustment;
import org.nineveils.veil.AreaKernel;
import org.nineveils.veil.Frame;

/**
 * An item with its maths worked out for a size of picture.
 *
 * @param item the item
 * @param adjustment null for the end of a bundle
 */
record PreparedItem(Item item, Adjustment adjustment) {
  boolean looksAround() {
    return adjustment instanceof AreaKernel;
  }

  boolean looksAtWhole() {
    return adjustment instanceof AreaKernel k && k.looksAtWhole();
  }

  /** What it must be given so that it can make an area; also what a change of that area touches. */
  Area needs(Area wanted, Frame frame) {
    return adjustment instanceof AreaKernel k ? k.needs(wanted, frame.area()) : wanted;
  }
}
