package org.nineveils.table;

import java.util.Locale;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.NodeTable;

/** Curves and tables of Common LUT Format files. */
final class ClfTables {
  /** Most entries of a curve. */
  private static final int MOST_OF_CURVE = 65_536;

  private ClfTables() {}

  /** A curve for each of red, green and blue, straight between its entries. */
  static ClfNode curve(ClfNode.Source s) {
    if (s.e().hasAttribute("halfDomain") || s.e().hasAttribute("rawHalfs")) {
      throw s.fault("runs over half floats, which is not understood");
    }
    int[] dim = s.dim();
    double[] v = s.array();
    int n = dim[0];
    int columns = dim.length < 2 ? 1 : dim[1];
    if (n < 2 || n > MOST_OF_CURVE || (columns != 1 && columns != 3) || v.length != n * columns) {
      throw s.fault(
          String.format(Locale.ROOT, "has %d numbers, which is not what its sizes say", v.length));
    }
    double most = s.most("outBitDepth");
    return rgb -> {
      for (int c = 0; c < 3; c++) {
        double at = Math.min(1, Math.max(0, rgb[c])) * (n - 1);
        int i = Math.min(n - 2, (int) at);
        int column = columns == 1 ? 0 : c;
        double low = v[i * columns + column];
        double high = v[(i + 1) * columns + column];
        rgb[c] = (low + (at - i) * (high - low)) / most;
      }
    };
  }

  /**
   * A table of three axes, blue running fastest.
   *
   * @param straight whether colours between eight nodes are mixed along each axis in turn
   *     (trilinear, which holds where a file says nothing); of the nearest four of them otherwise
   */
  @SuppressWarnings("ArrayRecordComponent") // large, and handed over
  record Cube(int side, float[] nodes, boolean straight, NodeTable table, Band in, Band out)
      implements ClfNode {
    @Override
    public void apply(double[] rgb) {
      if (straight) {
        mix(rgb);
        return;
      }
      in.r[0] = (float) within(rgb[0]);
      in.g[0] = (float) within(rgb[1]);
      in.b[0] = (float) within(rgb[2]);
      table.run(in, out, 1, 0, 0, in);
      rgb[0] = out.r[0];
      rgb[1] = out.g[0];
      rgb[2] = out.b[0];
    }

    private void mix(double[] rgb) {
      int[] low = new int[3];
      double[] part = new double[3];
      for (int c = 0; c < 3; c++) {
        double at = within(rgb[c]) * (side - 1);
        low[c] = Math.min(side - 2, (int) at);
        part[c] = at - low[c];
        rgb[c] = 0;
      }
      for (int corner = 0; corner < 8; corner++) {
        int node = 0;
        double weight = 1;
        for (int c = 0; c < 3; c++) {
          int far = corner >> c & 1;
          node = node * side + low[c] + far;
          weight *= far == 1 ? part[c] : 1 - part[c];
        }
        for (int c = 0; c < 3; c++) {
          rgb[c] += weight * nodes[4 * node + c];
        }
      }
    }

    private static double within(double v) {
      return Math.min(1, Math.max(0, v));
    }

    /**
     * Entries of a table that holds this one alone: its own, or where it is mixed along its axes as
     * many to each of its cells as there is room for.
     */
    int own() {
      int finer = straight ? Math.max(1, (ColourTable.MOST - 1) / (side - 1)) : 1;
      return finer * (side - 1) + 1;
    }
  }

  static ClfNode cube(ClfNode.Source s) {
    int[] dim = s.dim();
    double[] v = s.array();
    int side = dim[0];
    boolean even = dim.length >= 3 && dim[1] == side && dim[2] == side;
    if (!even || side < 2 || side > ColourTable.MOST) {
      throw s.fault(
          String.format(
              Locale.ROOT, "must have 2 to %d entries along each axis alike", ColourTable.MOST));
    }
    if (v.length != side * side * side * 3) {
      throw s.fault(
          String.format(Locale.ROOT, "has %d numbers, which is not what its sizes say", v.length));
    }
    double most = s.most("outBitDepth");
    float[] nodes = new float[side * side * side * 4];
    for (int i = 0; i < side * side * side; i++) {
      for (int c = 0; c < 3; c++) {
        nodes[4 * i + c] = (float) (v[3 * i + c] / most);
      }
    }
    String between = s.attribute("interpolation", "trilinear");
    if (!between.equals("trilinear") && !between.equals("tetrahedral")) {
      throw s.fault("is neither trilinear nor tetrahedral between its entries");
    }
    boolean straight = between.equals("trilinear");
    return new Cube(side, nodes, straight, new NodeTable(side, nodes), new Band(), new Band());
  }
}
