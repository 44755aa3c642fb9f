package org.nineveils.mask;

import org.nineveils.filter.Guided;
import org.nineveils.filter.Plane;
import org.nineveils.filter.Stretched;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;

/**
 * Brings what was decided on the small photo onto the photo itself: between the small one's pixels
 * by straight lines, then along the edges that the photo has there (guided filter by its luma), so
 * that strands of hair are followed.
 */
final class Refined {
  /** Standard deviation of the window, in pixels of the small photo. */
  private static final double WINDOW = 0.75;

  /** Step of luma of which half is followed: above camera noise, below the edge of a strand. */
  private static final double EDGE = 0.12;

  private final Guided guided;
  private final Guided.Moments moments;
  private final Plane guide;
  private final Area area;

  /**
   * Prepares an area of a photo.
   *
   * @param plain the whole photo, larger than the small one
   * @param small the whole of it, small
   */
  Refined(Picture plain, Picture small, Area area) {
    double pixel = plain.longSide() / (double) small.longSide();
    this.area = area;
    guided = new Guided(WINDOW * pixel, EDGE, plain.area());
    Area seen = area.around(guided.reach(), guided.grid(), plain.area());
    guide = Plane.luma(Plane.of(Part.whole(plain).cut(seen)));
    moments = guided.moments(new Plane[] {guide}, new Plane[0], area);
  }

  /** Weights of the area, 0…1, from those of the small photo. */
  float[] weights(float[] decided, Picture small) {
    Plane stretched =
        Stretched.to(guided.level(), guided.cells(area), new Plane(small.area(), decided));
    return guided.lines(moments.alike(stretched), area)[0].over(guide, area);
  }
}
