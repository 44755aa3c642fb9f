package org.nineveils.stack;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.function.Supplier;
import org.nineveils.colour.Ciede2000;
import org.nineveils.colour.Lab;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.ToneTable;
import org.nineveils.picture.Picture;

/**
 * Many veils that make each colour from that colour alone, as one quick kernel: those at the
 * beginning and at the end that treat each channel by itself become one table of tones each, the
 * rest a {@link Lattice}. Its cost hardly grows with the number of veils.
 *
 * <p>Before a lattice is used, it is tried on colours that the run meets; where it strays from the
 * exact way by more than {@link #MEAN} on average or {@link #HIGHEST} at the 99th percentile
 * (CIEDE2000), there is none, and the veils are run one by one.
 */
final class ColourRun implements Kernel {
  /** Fewest veils for which it pays. */
  static final int FEWEST = 5;

  /** Fewest veils for which it pays where all treat each channel by itself. */
  static final int FEWEST_PER_CHANNEL = 2;

  private static final double MEAN = 0.2;
  private static final double HIGHEST = 0.8;

  /** A little above the 99th percentile, since only some colours are tried. */
  private static final double TRIED_SHARE = 0.993;

  /** Bytes of a lattice with tables before and after. */
  private static final long BYTES = 4L * Float.BYTES * (33 * 33 * 33 + 6 * ToneTable.STEPS);

  private final Kernel quick;
  private final List<Step> steps;
  private final boolean tablesOnly;

  private ColourRun(Kernel quick, List<Step> steps, boolean tablesOnly) {
    this.quick = quick;
    this.steps = steps;
    this.tablesOnly = tablesOnly;
  }

  /**
   * The veils as one kernel.
   *
   * @param items the veils, each everywhere and a function of colour
   */
  static ColourRun of(List<PreparedVeil> items) {
    List<Step> steps = new ArrayList<>();
    List<Boolean> perChannel = new ArrayList<>();
    for (PreparedVeil p : items) {
      VeilItem item = p.item();
      Kernel kernel = (Kernel) p.adjustment();
      steps.add(VeilStep.everywhere(kernel, item.blend(), item.opacity()));
      perChannel.add(item.isPerChannel());
    }
    int lead = 0;
    while (lead < steps.size() && perChannel.get(lead)) {
      lead++;
    }
    int trail = steps.size();
    while (trail > lead && perChannel.get(trail - 1)) {
      trail--;
    }
    List<Kernel> kernels = new ArrayList<>();
    addTables(steps.subList(0, lead), kernels);
    if (trail > lead) {
      kernels.add(Lattice.of(steps.subList(lead, trail)));
    }
    addTables(steps.subList(trail, steps.size()), kernels);
    Kernel quick = kernels.size() == 1 ? kernels.get(0) : joined(kernels);
    return new ColourRun(quick, List.copyOf(steps), trail == lead);
  }

  @Override
  public void run(Band in, Band out, int n, int x, int y, Band spare) {
    quick.run(in, out, n, x, y, spare);
  }

  @Override
  public long bytes() {
    return BYTES;
  }

  private static void addTables(List<Step> steps, List<Kernel> kernels) {
    if (steps.isEmpty()) {
      return;
    }
    float[][] entries = new float[3][ToneTable.STEPS + 1];
    Workspace w = Workspace.ofThread();
    for (int from = 0; from <= ToneTable.STEPS; from += Band.CAPACITY) {
      int n = Math.min(Band.CAPACITY, ToneTable.STEPS + 1 - from);
      for (int i = 0; i < n; i++) {
        w.now.r[i] = (from + i) / (float) ToneTable.STEPS;
      }
      System.arraycopy(w.now.r, 0, w.now.g, 0, n);
      System.arraycopy(w.now.r, 0, w.now.b, 0, n);
      for (Step step : steps) {
        step.run(w, n, 0, 0);
      }
      System.arraycopy(w.now.r, 0, entries[0], from, n);
      System.arraycopy(w.now.g, 0, entries[1], from, n);
      System.arraycopy(w.now.b, 0, entries[2], from, n);
    }
    ToneTable r = new ToneTable(entries[0]);
    ToneTable g = new ToneTable(entries[1]);
    ToneTable b = new ToneTable(entries[2]);
    kernels.add(
        (in, out, n, x, y, spare) -> {
          r.run(in.r, out.r, out.t, n);
          g.run(in.g, out.g, out.t, n);
          b.run(in.b, out.b, out.t, n);
        });
  }

  /** Two or three kernels one after the other; the spare band takes what lies between. */
  private static Kernel joined(List<Kernel> kernels) {
    Kernel first = kernels.get(0);
    Kernel second = kernels.get(1);
    if (kernels.size() == 2) {
      return (in, out, n, x, y, spare) -> {
        first.run(in, spare, n, x, y, out);
        second.run(spare, out, n, x, y, null);
      };
    }
    Kernel third = kernels.get(2);
    return (in, out, n, x, y, spare) -> {
      first.run(in, out, n, x, y, spare);
      second.run(out, spare, n, x, y, null);
      third.run(spare, out, n, x, y, null);
    };
  }

  /**
   * Whether it stays near the exact way. Tables of tones alone always do, within 1e-4.
   *
   * @param met colours that it runs over, at most {@link Band#CAPACITY}
   */
  boolean isNear(Supplier<Picture> met) {
    if (tablesOnly) {
      return true;
    }
    Picture tried = met.get();
    Workspace w = Workspace.ofThread();
    int n = tried.area().pixels();
    w.now.load(tried, 0, n);
    Band result = new Band();
    quick.run(w.now, result, n, 0, 0, w.spare);
    for (Step step : steps) {
      step.run(w, n, 0, 0);
    }
    double[] apart = new double[n];
    for (int i = 0; i < n; i++) {
      Lab exact = Lab.ofSrgb(w.now.r[i], w.now.g[i], w.now.b[i]);
      Lab near = Lab.ofSrgb(result.r[i], result.g[i], result.b[i]);
      apart[i] = Ciede2000.between(exact, near);
    }
    Arrays.sort(apart);
    return Arrays.stream(apart).average().orElse(0) <= MEAN
        && apart[(int) (TRIED_SHARE * (n - 1))] <= HIGHEST;
  }
}
