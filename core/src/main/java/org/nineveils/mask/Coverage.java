package org.nineveils.mask;

import org.nineveils.picture.Area;

/**
 * How much a veil covers each pixel of an area, 0 (not) to 1 (fully); rows from the top.
 *
 * @param area place in the whole picture
 * @param values width · height of the area
 */
@SuppressWarnings("ArrayRecordComponent") // a plane, shared and not copied
public record Coverage(Area area, float[] values) {
  public Coverage {
    if (values.length != area.width() * area.height()) {
      throw new IllegalArgumentException("coverage does not fill its area");
    }
  }

  /**
   * Coverage of just that area.
   *
   * @param wanted lies within this area
   */
  public Coverage cut(Area wanted) {
    if (wanted.equals(area)) {
      return this;
    }
    float[] out = new float[wanted.pixels()];
    for (int y = 0; y < wanted.height(); y++) {
      int from = (wanted.y() + y - area.y()) * area.width() + wanted.x() - area.x();
      System.arraycopy(values, from, out, y * wanted.width(), wanted.width());
    }
    return new Coverage(wanted, out);
  }

  /** Copies n values from column x, row y (of the whole picture) on. */
  public void copyRow(int x, int y, int n, float[] to) {
    int at = (y - area.y()) * area.width() + x - area.x();
    System.arraycopy(values, at, to, 0, n);
  }
}
