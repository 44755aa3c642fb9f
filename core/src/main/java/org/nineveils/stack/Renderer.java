package org.nineveils.stack;

import org.nineveils.file.Ahead;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;

/** Renders stacks; see the package for semantics and algorithm. */
public final class Renderer {
  private Renderer() {}

  /** The whole picture through a stack, exactly. */
  public static Picture render(Picture source, Stack stack) {
    return render(source, source.area(), stack, Manner.exact());
  }

  /** Pixels above which a picture is rendered in strips, and of one strip. */
  private static final int WHOLE = 16_000_000;

  private static final int STRIP = 6000000;

  /** Strips begin at rows that the coarse grids of veils divide. */
  private static final int GRID = 64;

  /**
   * The whole picture through a stack, strip by strip as they are asked for: what is worked on
   * takes memory for one strip, not for the whole. The same bits as the whole render.
   *
   * @param source the whole plain picture; not changed
   */
  public static Strips strips(Picture source, Stack stack, Manner manner) {
    int height = source.height();
    int some = Math.max(GRID, STRIP / source.width() / GRID * GRID);
    int rows = source.area().pixels() <= WHOLE ? height : Math.min(height, some);
    return Ahead.of(strips(source, stack, manner, rows));
  }

  static Strips strips(Picture source, Stack stack, Manner manner, int rows) {
    return new Descent(source, stack, manner, rows);
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
