package org.nineveils.release.table;

import org.nineveils.picture.Picture;

/**
 * A table read as other programs read it: tetrahedral interpolation, plainly, value by value, apart
 * from the engine's own {@link org.nineveils.kernel.NodeTable}. The six tetrahedra share the
 * diagonal of grey.
 */
final class Tetrahedra {
  private Tetrahedra() {}

  /**
   * The entry at a colour.
   *
   * @param table side² × side pixels, red running fastest
   * @param bend power of even steps at which nodes lie
   * @return red, green, blue
   */
  static float[] at(Picture table, int side, double bend, float r, float g, float b) {
    double[] at = {place(r, side, bend), place(g, side, bend), place(b, side, bend)};
    int[] cell = new int[3];
    double[] part = new double[3];
    for (int k = 0; k < 3; k++) {
      cell[k] = Math.min(side - 2, (int) at[k]);
      part[k] = at[k] - cell[k];
    }
    Integer[] order = {0, 1, 2};
    java.util.Arrays.sort(order, (x, y) -> Double.compare(part[y], part[x]));
    int[] corner = cell.clone();
    float[] out = new float[3];
    double before = 1;
    for (int step = 0; step <= 3; step++) {
      double next = step < 3 ? part[order[step]] : 0;
      add(out, table, side, corner, before - next);
      before = next;
      if (step < 3) {
        corner[order[step]]++;
      }
    }
    return out;
  }

  private static double place(float v, int side, double bend) {
    double cut = Math.min(1, Math.max(0, v));
    return (bend == 1 ? cut : Math.pow(cut, 1 / bend)) * (side - 1);
  }

  private static void add(float[] out, Picture table, int side, int[] corner, double weight) {
    int i = (corner[2] * side + corner[1]) * side + corner[0];
    out[0] += (float) (weight * table.r()[i]);
    out[1] += (float) (weight * table.g()[i]);
    out[2] += (float) (weight * table.b()[i]);
  }
}
