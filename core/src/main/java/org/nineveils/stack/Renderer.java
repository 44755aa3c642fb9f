package org.nineveils.stack;

import java.util.List;
import java.util.stream.IntStream;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.veil.Band;

/** Renders stacks; see the package for semantics and algorithm. */
public final class Renderer {
  private static final ThreadLocal<Workspace> WORKSPACE = ThreadLocal.withInitial(Workspace::new);

  private Renderer() {}

  /** The whole picture through a stack. */
  public static Picture render(Picture source, Stack stack) {
    return render(source, source.area(), stack, CoverageSource.FRESH, Cancel.NEVER);
  }

  /**
   * A part of a picture through a stack; equal to the same part of the whole render.
   *
   * @param source the whole plain picture; not changed
   * @param area the part wanted, within the picture
   * @param stack what it wears
   * @param masks where coverage comes from
   * @param cancel asked before every row
   * @return a picture of the size of the area
   * @throws Cancelled if the caller no longer wants the result
   */
  public static Picture render(
      Picture source, Area area, Stack stack, CoverageSource masks, Cancel cancel) {
    if (!area.fits(source.width(), source.height())) {
      throw new IllegalArgumentException("area lies outside the picture: " + area);
    }
    List<Step> plan = Plan.of(stack, source, area, masks);
    Picture out = Picture.blank(area.width(), area.height());
    IntStream.range(0, area.height())
        .parallel()
        .forEach(
            row -> {
              if (cancel.isCancelled()) {
                throw new Cancelled();
              }
              renderRow(source, area, plan, row, out);
            });
    return out;
  }

  private static void renderRow(Picture source, Area area, List<Step> plan, int row, Picture out) {
    Workspace w = WORKSPACE.get();
    int y = area.y() + row;
    for (int done = 0; done < area.width(); done += Band.CAPACITY) {
      int n = Math.min(Band.CAPACITY, area.width() - done);
      int from = y * source.width() + area.x() + done;
      System.arraycopy(source.r(), from, w.now.r, 0, n);
      System.arraycopy(source.g(), from, w.now.g, 0, n);
      System.arraycopy(source.b(), from, w.now.b, 0, n);
      for (Step step : plan) {
        step.run(w, n, area.x() + done, y);
      }
      int to = row * area.width() + done;
      System.arraycopy(w.now.r, 0, out.r(), to, n);
      System.arraycopy(w.now.g, 0, out.g(), to, n);
      System.arraycopy(w.now.b, 0, out.b(), to, n);
    }
  }
}
