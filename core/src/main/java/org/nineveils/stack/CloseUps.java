package org.nineveils.stack;

import java.util.List;
import org.nineveils.filter.Plane;
import org.nineveils.filter.Stretched;
import org.nineveils.mask.Coverage;
import org.nineveils.picture.CloseUp;
import org.nineveils.picture.Picture;

/**
 * Renders parts of a photo at its own size without the rest of it, for whoever measures what only
 * shows there. Sizes and places are those of the photo; masks, and what a veil must know of the
 * whole, come from a small picture of it. What a veil sees ends at the edge of the part as a
 * picture does, so the outermost pixels differ a little from those of the whole render.
 */
public final class CloseUps {
  private CloseUps() {}

  /**
   * Close-ups through a stack.
   *
   * @param cuts of one photo
   * @param small the whole of that photo, small; the stack's masks are made for its size
   * @return pictures of the size of each
   */
  public static List<Picture> render(
      List<CloseUp> cuts, Picture small, Stack stack, Manner manner) {
    List<Item> items = Item.of(stack);
    Overviews overviews = new Overviews(small, items, manner);
    return cuts.stream().map(cut -> render(cut, small, items, overviews, manner)).toList();
  }

  private static Picture render(
      CloseUp cut, Picture small, List<Item> items, Overviews overviews, Manner manner) {
    Picture pixels = cut.pixels();
    Stretched.Place place = new Stretched.Place(cut.x(), cut.y(), cut.width(), cut.height());
    Manner own =
        manner.masksFrom(
            (mask, paint, plain, area) -> {
              Coverage whole =
                  manner.masks().coverage(mask, paint, small, small.area()).cut(small.area());
              Plane drawn = Stretched.to(place, 1, area, new Plane(small.area(), whole.values()));
              return new Coverage(area, drawn.values());
            });
    Picture made =
        Run.over(cut, items, own, overviews)
            .run(State.plain(pixels), 0, -1, pixels.area(), Run.Passing.NOBODY)
            .now()
            .picture();
    return made.area().equals(pixels.area()) ? made : pixels;
  }
}
