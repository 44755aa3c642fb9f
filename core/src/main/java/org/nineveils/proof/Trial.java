package org.nineveils.proof;

import java.util.List;
import org.nineveils.picture.CloseUp;
import org.nineveils.picture.Picture;
import org.nineveils.proof.measure.Finished;
import org.nineveils.proof.measure.Plain;
import org.nineveils.stack.Bundle;
import org.nineveils.stack.CloseUps;
import org.nineveils.stack.Manner;
import org.nineveils.stack.Renderer;
import org.nineveils.stack.Stack;
import org.nineveils.veil.Veil;

/**
 * What a stack makes of a photo, as it is measured: small, and close up at the photo's own size.
 */
public final class Trial {
  private Trial() {}

  /**
   * Renders it.
   *
   * @param plain the photo; masks of the stack are made for its small picture
   */
  public static Finished on(Plain plain, Stack stack, Manner manner) {
    Picture small = plain.picture();
    return on(plain, Renderer.render(small, small.area(), stack, manner), stack, manner);
  }

  /** The same where the small picture was rendered before. */
  public static Finished on(Plain plain, Picture made, Stack stack, Manner manner) {
    List<CloseUp> cuts = plain.closeUps();
    boolean isWhole = cuts.size() == 1 && cuts.get(0).pixels().equals(plain.picture());
    List<Picture> close =
        isWhole ? List.of(made) : CloseUps.render(cuts, plain.picture(), stack, manner);
    return new Finished(made, close, border(stack));
  }

  /** Share of the long side that frames cover at every border. */
  private static double border(Stack stack) {
    double most = 0;
    for (Bundle bundle : stack.bundles()) {
      for (Veil veil : bundle.veils()) {
        if (!veil.lifted() && veil.opacity() > 0 && bundle.opacity() > 0) {
          most = Math.max(most, veil.kind().border(veil.settings()));
        }
      }
    }
    return most;
  }

  /** Something at an opacity, made of what it is at full opacity; see {@link Mixed}. */
  public static Finished mixed(Plain plain, Finished full, double opacity) {
    List<Picture> close = new java.util.ArrayList<>();
    for (int i = 0; i < full.closeUps().size(); i++) {
      Picture before = plain.closeUps().get(i).pixels();
      close.add(Mixed.of(before, full.closeUps().get(i), opacity));
    }
    Picture small = Mixed.of(plain.picture(), full.picture(), opacity);
    return new Finished(small, close, full.border());
  }
}
