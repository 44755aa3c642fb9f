package org.nineveils.mask;

import java.util.List;
import org.nineveils.picture.Area;

/** Where strokes lie. */
public final class Touched {
  private Touched() {}

  /**
   * The pixels that strokes can touch.
   *
   * @param picture the whole picture
   * @return null where they lie outside the picture, or there are none
   */
  public static Area by(List<Stroke> strokes, Area picture) {
    Area all = null;
    for (Stroke stroke : strokes) {
      Area own = by(stroke, picture);
      all = all == null ? own : own == null ? all : all.with(own);
    }
    return all;
  }

  /**
   * The pixels of an area that a stroke can touch; null where there are none.
   *
   * @param within the area that matters
   */
  static Area by(Stroke stroke, Area picture, Area within) {
    int longSide = Math.max(picture.width(), picture.height());
    double r = Math.max(0.5, stroke.size() * longSide / 2) + 1;
    double left = Double.MAX_VALUE;
    double top = Double.MAX_VALUE;
    double right = -Double.MAX_VALUE;
    double bottom = -Double.MAX_VALUE;
    for (int i = 0; i < stroke.points().size(); i += 2) {
      left = Math.min(left, stroke.at(i) * longSide - r);
      right = Math.max(right, stroke.at(i) * longSide + r);
      top = Math.min(top, stroke.at(i + 1) * longSide - r);
      bottom = Math.max(bottom, stroke.at(i + 1) * longSide + r);
    }
    int x0 = (int) Math.max(within.x(), Math.floor(left));
    int y0 = (int) Math.max(within.y(), Math.floor(top));
    int x1 = (int) Math.min(within.right(), Math.ceil(right) + 1);
    int y1 = (int) Math.min(within.bottom(), Math.ceil(bottom) + 1);
    return x0 >= x1 || y0 >= y1 ? null : Area.between(x0, y0, x1, y1);
  }

  private static Area by(Stroke stroke, Area picture) {
    return by(stroke, picture, picture);
  }
}
