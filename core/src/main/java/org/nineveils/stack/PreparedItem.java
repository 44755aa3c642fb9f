package org.nineveils.stack;

import org.nineveils.kernel.Frame;
import org.nineveils.picture.Area;

/** An item with its maths worked out for a size of picture. */
sealed interface PreparedItem permits PreparedVeil, PreparedEnd {
  Item item();

  default boolean looksAround() {
    return false;
  }

  default boolean looksAtWhole() {
    return false;
  }

  /** What it must be given so that it can make an area; also what a change of that area touches. */
  default Area needs(Area wanted, Frame frame) {
    return wanted;
  }
}
