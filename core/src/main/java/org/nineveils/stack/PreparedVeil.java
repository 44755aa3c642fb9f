package org.nineveils.stack;

import org.nineveils.kernel.Adjustment;
import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Frame;
import org.nineveils.picture.Area;

/** A veil with its maths. */
record PreparedVeil(VeilItem item, Adjustment adjustment) implements PreparedItem {
  @Override
  public boolean looksAround() {
    return adjustment instanceof AreaKernel;
  }

  @Override
  public boolean looksAtWhole() {
    return adjustment instanceof AreaKernel k && k.looksAtWhole();
  }

  @Override
  public Area needs(Area wanted, Frame frame) {
    return adjustment instanceof AreaKernel k ? k.needs(wanted, frame.area()) : wanted;
  }
}
