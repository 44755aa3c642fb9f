package org.nineveils.stack;

import org.nineveils.blend.BlendMode;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;
import org.nineveils.mask.Coverage;

/**
 * A veil.
 *
 * @param opacity share, 0…1
 * @param mask coverage, or null where the veil covers everything
 * @param opens keep the band as it is before this veil, for the end of the bundle
 */
record VeilStep(Kernel kernel, BlendMode blend, float opacity, Coverage mask, boolean opens)
    implements Step {

  /** One that covers everything, in no bundle. */
  static VeilStep everywhere(Kernel kernel, BlendMode blend, double opacity) {
    return new VeilStep(kernel, blend, (float) opacity, null, false);
  }

  @Override
  public boolean readsBelow() {
    boolean covers = mask == null && opacity == 1 && blend == BlendMode.NORMAL && !opens;
    return !covers || kernel.readsInput();
  }

  @Override
  public void run(Workspace w, int n, int x, int y) {
    if (opens) {
      w.kept.copyFrom(w.now, n);
    }
    kernel.run(w.now, w.adjusted, n, x, y, w.spare);
    Band result = w.adjusted;
    if (blend != BlendMode.NORMAL) {
      blend.blend(w.now, w.adjusted, w.spare, n);
      result = w.spare;
    }
    if (mask != null) {
      mask.copyRow(x, y, n, w.coverage);
      Mixing.masked(w.now, result, w.coverage, opacity, n);
    } else if (opacity == 1) {
      w.swapNow(result);
    } else {
      Mixing.mix(w.now, result, opacity, n);
    }
  }
}
