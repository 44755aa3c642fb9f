package org.nineveils.testing;

import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.picture.Strips;

/** A whole picture that comes in strips of some rows. */
public record InStrips(Picture whole, int rows) implements Strips {
  @Override
  public int width() {
    return whole.width();
  }

  @Override
  public int height() {
    return whole.height();
  }

  @Override
  public Picture strip(int top) {
    int high = Math.min(rows, whole.height() - top);
    return Part.whole(whole).cut(new Area(0, top, whole.width(), high)).picture();
  }
}
