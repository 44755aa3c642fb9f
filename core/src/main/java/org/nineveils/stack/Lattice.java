package org.nineveils.stack;

import java.util.List;
import java.util.stream.IntStream;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.NodeTable;

/**
 * Veils that make each colour from that colour alone, worked out once as a table of 33³ colours.
 *
 * <p>Cells divide the unit cube evenly, so functions that bend sharply near black are better taken
 * out and run as one-dimensional tables before and after; see {@link ColourRun}.
 */
final class Lattice {
  private static final int SIDE = 33;
  private static final int CELLS = SIDE - 1;
  private static final int NODES = SIDE * SIDE * SIDE;

  private Lattice() {}

  /** Works out every node by running steps over it. */
  static Kernel of(List<Step> steps) {
    float[] nodes = new float[NODES * 4];
    int runs = (NODES + Band.CAPACITY - 1) / Band.CAPACITY;
    IntStream.range(0, runs).parallel().forEach(k -> fill(steps, k * Band.CAPACITY, nodes));
    return new NodeTable(SIDE, nodes);
  }

  private static void fill(List<Step> steps, int first, float[] nodes) {
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
}
