package org.nineveils.picture;

/**
 * A part of a whole picture.
 *
 * @param area its place in the whole
 * @param picture its pixels, of the size of the area
 */
public record Part(Area area, Picture picture) {
  public Part {
    if (picture.width() != area.width() || picture.height() != area.height()) {
      throw new IllegalArgumentException("a part's picture must have the size of its area");
    }
  }

  /** A whole picture as a part. */
  public static Part whole(Picture picture) {
    return new Part(picture.area(), picture);
  }

  /** A black part to be filled. */
  public static Part blank(Area area) {
    return new Part(area, Picture.blank(area.width(), area.height()));
  }

  /** Index in the planes of the pixel at column x, row y of the whole picture. */
  public int index(int x, int y) {
    return (y - area.y()) * area.width() + x - area.x();
  }

  /**
   * A smaller part of this one, copied.
   *
   * @param wanted lies in this part's area
   */
  public Part cut(Area wanted) {
    Part out = blank(wanted);
    out.take(this);
    return out;
  }

  /**
   * Takes over the pixels that another part has within this one; for whoever makes a part.
   *
   * @param other holds this part or lies in it
   */
  public void take(Part other) {
    Area common = area.contains(other.area) ? other.area : area;
    for (int y = common.y(); y < common.bottom(); y++) {
      int from = other.index(common.x(), y);
      int to = index(common.x(), y);
      System.arraycopy(other.picture.r(), from, picture.r(), to, common.width());
      System.arraycopy(other.picture.g(), from, picture.g(), to, common.width());
      System.arraycopy(other.picture.b(), from, picture.b(), to, common.width());
    }
  }
}
