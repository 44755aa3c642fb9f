package org.nineveils.stack;

import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;

/** The end of a bundle that is mixed with what was below it. */
record EndItem(double opacity, Mask mask, Paint paint, int edition) implements Item {
  static EndItem of(Bundle b) {
    return new EndItem(b.opacity(), b.mask(), b.cover(), b.edition());
  }

  @Override
  public EndItem unpainted() {
    return new EndItem(opacity, mask, Paint.NONE, edition);
  }
}
