package org.nineveils.stack;

import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/** Renders stacks; see the package for semantics and algorithm. */
public final class Renderer {
  private Renderer() {}

  /** The whole picture through a stack, exactly. */
  public static Picture render(Picture source, Stack stack) {
    return render(source, source.area(), stack, Manner.exact());
  }

  /**
   * A part of a picture through a stack; equal to the same part of the whole render.
   *
   * @param source the whole plain picture; not changed
   * @param area the part wanted, within the picture
   * @param stack what it wears
   * @param manner how it is rendered
   * @return a picture of the size of the area
   * @throws Cancelled if the caller no longer wants the result
   */
  public static Picture render(Picture source, Area area, Stack stack, Manner manner) {
    if (!area.fits(source.width(), source.height())) {
      throw new IllegalArgumentException("area lies outside the picture: " + area);
    }
    State plain = State.plain(source);
    State done =
        new Run(source, Item.of(stack), manner).run(plain, 0, -1, area, Run.Passing.NOBODY);
    return done.now().area().equals(area) && !done.now().picture().equals(source)
        ? done.now().picture()
        : done.now().cut(area).picture();
  }
}
