package org.nineveils.stack;

import java.util.List;
import java.util.stream.IntStream;
import org.nineveils.veil.Band;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.Limit;

/**
 * A function of colour as a table of 33³ colours with tetrahedral interpolation (as in ICC.1:2022,
 * lutAToBType, which leaves the interpolation open; the six tetrahedra along the diagonal of grey
 * keep greys on a straight line between two entries).
 *
 * <p>Cells are picked by dividing the unit cube evenly, so functions that bend sharply near black
 * are better taken out and run as one-dimensional tables before and after; see {@link ColourRun}.
 */
final class Lattice implements Kernel {
  private static final int SIDE = 33;
  private static final int CELLS = SIDE - 1;
  private static final int NODES = SIDE * SIDE * SIDE;

  /** Steps in the table to the next node of red, green and blue. */
  private static final int RED = SIDE * SIDE * 4;

  private static final int GREEN = SIDE * 4;
  private static final int BLUE = 4;

  /** Red, green, blue and nothing for each node; blue runs fastest. */
  private final float[] nodes = new float[NODES * 4];

  /** Works out every node by running steps over it. */
  Lattice(List<Step> steps) {
    int runs = (NODES + Band.CAPACITY - 1) / Band.CAPACITY;
    IntStream.range(0, runs).parallel().forEach(k -> fill(steps, k * Band.CAPACITY));
  }

  private void fill(List<Step> steps, int first) {
    Workspace w = Workspace.ofThread();
    int n = Math.min(Band.CAPACITY, NODES - first);
    for (int i = 0; i < n; i++) {
      int node = first + i;
      int red = node / (SIDE * SIDE);
      int green = node / SIDE % SIDE;
      int blue = node % SIDE;
      w.now.r[i] = red / (float) CELLS;
      w.now.g[i] = green / (float) CELLS;
      w.now.b[i] = blue / (float) CELLS;
    }
    for (Step step : steps) {
      step.run(w, n, 0, 0);
    }
    for (int i = 0; i < n; i++) {
      int at = (first + i) * 4;
      nodes[at] = w.now.r[i];
      nodes[at + 1] = w.now.g[i];
      nodes[at + 2] = w.now.b[i];
    }
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    float[] table = nodes;
    float[] red = in.r;
    float[] green = in.g;
    float[] blue = in.b;
    for (int i = 0; i < n; i++) {
      float r = red[i] * CELLS;
      float g = green[i] * CELLS;
      float b = blue[i] * CELLS;
      int ir = Math.min(CELLS - 1, (int) r);
      int ig = Math.min(CELLS - 1, (int) g);
      int ib = Math.min(CELLS - 1, (int) b);
      float p = r - ir;
      float q = g - ig;
      float s = b - ib;
      // The way from the near to the far corner goes along the axis with the largest part first.
      float most = Math.max(p, Math.max(q, s));
      float least = Math.min(p, Math.min(q, s));
      float middle = p + q + s - most - least;
      int first = p >= q ? (p >= s ? RED : BLUE) : (q >= s ? GREEN : BLUE);
      int last = p < q ? (p < s ? RED : BLUE) : (q < s ? GREEN : BLUE);
      int a = ir * RED + ig * GREEN + ib * BLUE;
      int d = a + RED + GREEN + BLUE;
      int k = a + first;
      int m = d - last;
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
