package org.nineveils.filter;

import org.nineveils.colour.Luma;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;

/**
 * One channel of a part of a grid; rows from the top.
 *
 * @param area place on its grid, cells
 * @param values width · height of the area
 * @param rim what goes on beyond the border of the picture, as {@link Rim} lays it out; null where
 *     the outermost cells do
 */
@SuppressWarnings("ArrayRecordComponent") // shared, not copied
public record Plane(Area area, float[] values, float[] rim) {
  public Plane {
    if (values.length < area.pixels()) {
      throw new IllegalArgumentException("values do not fill their area");
    }
  }

  /** A plane whose outermost cells go on beyond the border. */
  public Plane(Area area, float[] values) {
    this(area, values, null);
  }

  /** A plane of zeros. */
  static Plane blank(Area area) {
    return new Plane(area, new float[area.pixels()]);
  }

  /** Index of the value at column x, row y of the grid. */
  int index(int x, int y) {
    return (y - area.y()) * area.width() + x - area.x();
  }

  /** Red, green and blue of a part of a picture, on the picture's own grid; shared, not copied. */
  public static Plane[] of(Part part) {
    return new Plane[] {
      new Plane(part.area(), part.picture().r()),
      new Plane(part.area(), part.picture().g()),
      new Plane(part.area(), part.picture().b())
    };
  }

  /** Luma of three planes of one area; see {@link Luma}. */
  public static Plane luma(Plane[] rgb) {
    float[] rim = null;
    if (rgb[0].rim != null) {
      rim = new float[rgb[0].rim.length];
      Luma.run(rgb[0].rim, rgb[1].rim, rgb[2].rim, rim, rim.length);
    }
    Plane out = new Plane(rgb[0].area(), new float[rgb[0].area().pixels()], rim);
    Parallel.runs(
        out.values.length,
        (from, n) -> {
          float[][] in = new float[3][n];
          float[] line = new float[n];
          for (int c = 0; c < 3; c++) {
            System.arraycopy(rgb[c].values, from, in[c], 0, n);
          }
          Luma.run(in[0], in[1], in[2], line, n);
          System.arraycopy(line, 0, out.values, from, n);
        });
    return out;
  }
}
