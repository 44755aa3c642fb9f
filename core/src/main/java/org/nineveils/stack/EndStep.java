package org.nineveils.stack;

import org.nineveils.kernel.Band;
import org.nineveils.mask.Coverage;
import org.nineveils.picture.Part;

/**
 * The end of a bundle.
 *
 * @param opacity share, 0…1
 * @param mask coverage, or null where the bundle covers everything
 * @param kept what was below the bundle where it began in an earlier leg; else null
 */
record EndStep(float opacity, Coverage mask, Part kept) implements Step {
  @Override
  public boolean readsBelow() {
    return true;
  }

  @Override
  public void run(Workspace w, int n, int x, int y) {
    if (kept != null) {
      w.kept.load(kept.picture(), kept.index(x, y), n);
    }
    if (mask == null) {
      Mixing.mix(w.kept, w.now, opacity, n);
    } else {
      mask.copyRow(x, y, n, w.coverage);
      Mixing.masked(w.kept, w.now, w.coverage, opacity, n);
    }
    Band mixed = w.kept;
    w.kept = w.now;
    w.now = mixed;
  }
}
