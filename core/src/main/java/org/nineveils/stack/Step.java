package org.nineveils.stack;

import org.nineveils.mask.Coverage;
import org.nineveils.picture.Part;
import org.nineveils.veil.Band;
import org.nineveils.veil.BlendMode;
import org.nineveils.veil.Kernel;

/**
 * An item made ready to run over bands.
 *
 * @param kernel the veil's maths; null for the end of a bundle
 * @param blend blend mode of the veil
 * @param opacity share, 0…1, of the veil or of the bundle
 * @param mask coverage, or null where the veil or the bundle covers everything
 * @param opens keep the band as it is before this veil, for the end of the bundle
 * @param kept at the end of a bundle that began in an earlier leg: what was below it; else null
 */
record Step(
    Kernel kernel, BlendMode blend, float opacity, Coverage mask, boolean opens, Part kept) {

  static Step veil(Kernel kernel, BlendMode blend, double opacity, Coverage mask, boolean opens) {
    return new Step(kernel, blend, (float) opacity, mask, opens, null);
  }

  static Step endOfBundle(double opacity, Coverage mask, Part kept) {
    return new Step(null, null, (float) opacity, mask, false, kept);
  }

  /** Whether the band must hold what lies below before this is run. */
  boolean readsBelow() {
    boolean covers =
        kernel != null && mask == null && opacity == 1 && blend == BlendMode.NORMAL && !opens;
    return !covers || kernel.readsInput();
  }

  /**
   * Runs over a band.
   *
   * @param w the band to change, and room to work in
   */
  void run(Workspace w, int n, int x, int y) {
    if (opens) {
      w.kept.copyFrom(w.now, n);
    }
    if (kernel == null) {
      if (kept != null) {
        w.kept.load(kept.picture(), kept.index(x, y), n);
      }
      if (mask == null) {
        mix(w.kept, w.now, opacity, n);
      } else {
        mask.copyRow(x, y, n, w.coverage);
        mixMasked(w.kept, w.now, w.coverage, opacity, n);
      }
      Band mixed = w.kept;
      w.kept = w.now;
      w.now = mixed;
      return;
    }
    kernel.run(w.now, w.adjusted, n, x, y, w.spare);
    Band result = w.adjusted;
    if (blend != BlendMode.NORMAL) {
      blend.blend(w.now, w.adjusted, w.spare, n);
      result = w.spare;
    }
    if (mask != null) {
      mask.copyRow(x, y, n, w.coverage);
      mixMasked(w.now, result, w.coverage, opacity, n);
    } else if (opacity == 1) {
      w.swapNow(result);
    } else {
      mix(w.now, result, opacity, n);
    }
  }

  private static void mix(Band below, Band above, float share, int n) {
    mix(below.r, above.r, share, n);
    mix(below.g, above.g, share, n);
    mix(below.b, above.b, share, n);
  }

  private static void mix(float[] below, float[] above, float share, int n) {
    for (int i = 0; i < n; i++) {
      below[i] += (above[i] - below[i]) * share;
    }
  }

  private static void mixMasked(Band below, Band above, float[] mask, float share, int n) {
    mixMasked(below.r, above.r, mask, share, n);
    mixMasked(below.g, above.g, mask, share, n);
    mixMasked(below.b, above.b, mask, share, n);
  }

  private static void mixMasked(float[] below, float[] above, float[] mask, float share, int n) {
    for (int i = 0; i < n; i++) {
      below[i] += (above[i] - below[i]) * (mask[i] * share);
    }
  }
}
