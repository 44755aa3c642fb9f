package org.nineveils.stack;

import org.nineveils.mask.Coverage;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Paint;
import org.nineveils.mask.Painter;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/** Where the renderer gets coverage from: worked out afresh, or kept from the last picture. */
@FunctionalInterface
public interface CoverageSource {
  /** Works everything out afresh. */
  CoverageSource FRESH = Painter::cover;

  /**
   * Coverage of an area or of a larger one that holds it; see {@link Painter#cover}. Who needs just
   * the area takes {@link Coverage#cut}.
   */
  Coverage coverage(Mask mask, Paint paint, Picture plain, Area area);
}
