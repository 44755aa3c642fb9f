package org.nineveils.kernel;

/**
 * A function of colour as a table of side³ colours with tetrahedral interpolation (as in
 * ICC.1:2022, lutAToBType, which leaves the interpolation open; the six tetrahedra along the
 * diagonal of grey keep greys on a straight line between two entries). Cells divide the unit cube
 * evenly.
 */
public final class NodeTable implements Kernel {
  private final float[] nodes;
  private final int cells;
  private final int red;
  private final int green;

  /**
   * A table.
   *
   * @param side nodes along each axis, 2 or more
   * @param nodes red, green, blue and nothing for each node; blue runs fastest, then green; not
   *     copied
   */
  @SuppressWarnings("ArrayStoredDirectly") // large, and handed over
  public NodeTable(int side, float[] nodes) {
    if (side < 2 || nodes.length != side * side * side * 4) {
      throw new IllegalArgumentException("a table of side " + side + " has side³ nodes of four");
    }
    this.nodes = nodes;
    this.cells = side - 1;
    this.red = side * side * 4;
    this.green = side * 4;
  }

  @Override
  public long bytes() {
    return (long) nodes.length * Float.BYTES;
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    float[] table = nodes;
    float[] reds = in.r;
    float[] greens = in.g;
    float[] blues = in.b;
    int perRed = red;
    int perGreen = green;
    int perBlue = 4;
    int last = cells - 1;
    for (int i = 0; i < n; i++) {
      float r = reds[i] * cells;
      float g = greens[i] * cells;
      float b = blues[i] * cells;
      int ir = Math.min(last, (int) r);
      int ig = Math.min(last, (int) g);
      int ib = Math.min(last, (int) b);
      float p = r - ir;
      float q = g - ig;
      float s = b - ib;
      // The way from the near to the far corner goes along the axis with the largest part first.
      float most = Math.max(p, Math.max(q, s));
      float least = Math.min(p, Math.min(q, s));
      float middle = p + q + s - most - least;
      int first = p >= q ? (p >= s ? perRed : perBlue) : (q >= s ? perGreen : perBlue);
      int farthest = p < q ? (p < s ? perRed : perBlue) : (q < s ? perGreen : perBlue);
      int a = ir * perRed + ig * perGreen + ib * perBlue;
      int d = a + perRed + perGreen + perBlue;
      int k = a + first;
      int m = d - farthest;
      float wa = 1 - most;
      float wk = most - middle;
      float wm = middle - least;
      out.r[i] = table[a] * wa + table[k] * wk + table[m] * wm + table[d] * least;
      out.g[i] = table[a + 1] * wa + table[k + 1] * wk + table[m + 1] * wm + table[d + 1] * least;
      out.b[i] = table[a + 2] * wa + table[k + 2] * wk + table[m + 2] * wm + table[d + 2] * least;
    }
    Limit.toRange(out, n);
  }
}
