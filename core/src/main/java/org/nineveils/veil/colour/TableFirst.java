package org.nineveils.veil.colour;

import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.NodeTable;

/** A colour table by its amount, and then what else a Colour veil does. */
final class TableFirst implements Kernel {
  private final NodeTable table;
  private final float amount;
  private final Kernel then;

  /**
   * Puts both together.
   *
   * @param amount of the table, 0…1
   * @param then null where nothing else is done
   */
  TableFirst(NodeTable table, float amount, Kernel then) {
    this.table = table;
    this.amount = amount;
    this.then = then;
  }

  @Override
  public long bytes() {
    return table.bytes() + (then == null ? 0 : then.bytes());
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    Band to = then == null ? out : spare;
    table.run(in, to, n, x, y, null);
    if (amount < 1) {
      mix(in.r, to.r, n);
      mix(in.g, to.g, n);
      mix(in.b, to.b, n);
    }
    if (then != null) {
      then.run(spare, out, n, x, y, null);
    }
  }

  private void mix(float[] in, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = in[i] + (out[i] - in[i]) * amount;
    }
  }
}
