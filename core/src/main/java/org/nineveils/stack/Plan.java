package org.nineveils.stack;

import java.util.ArrayList;
import java.util.List;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Paint;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.veil.BlendMode;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Veil;

/** The steps that a stack comes to, with everything left out that changes nothing. */
final class Plan {
  private Plan() {}

  static List<Step> of(Stack stack, Picture source, Area area, CoverageSource masks) {
    List<Step> steps = new ArrayList<>();
    for (Bundle bundle : stack.bundles()) {
      addBundle(bundle, source, area, masks, steps);
    }
    return steps;
  }

  private static void addBundle(
      Bundle bundle, Picture source, Area area, CoverageSource masks, List<Step> steps) {
    if (bundle.opacity() == 0) {
      return;
    }
    Frame frame = new Frame(source.width(), source.height());
    boolean mixed = bundle.opacity() < 1;
    boolean first = true;
    for (Veil veil : bundle.veils()) {
      Paint paint = bundle.paint().getOrDefault(veil.id(), Paint.NONE);
      if (changesNothing(veil, paint)) {
        continue;
      }
      boolean everywhere = veil.mask().cover() == Cover.EVERYWHERE && paint.isEmpty();
      steps.add(
          new Step(
              veil.kind().prepare(veil.settings(), frame),
              veil.blend(),
              (float) veil.opacity(),
              everywhere ? null : masks.coverage(veil.mask(), paint, source, area),
              mixed && first));
      first = false;
    }
    if (mixed && !first) {
      steps.add(Step.endOfBundle(bundle.opacity()));
    }
  }

  private static boolean changesNothing(Veil veil, Paint paint) {
    return veil.lifted()
        || veil.opacity() == 0
        || (veil.mask().cover() == Cover.BRUSH_ON && paint.isEmpty())
        || (veil.blend() == BlendMode.NORMAL && veil.kind().isIdentity(veil.settings()));
  }
}
