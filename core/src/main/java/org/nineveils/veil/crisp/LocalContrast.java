package org.nineveils.veil.crisp;

import org.nineveils.colour.Luma;
import org.nineveils.filter.Guided;
import org.nineveils.filter.Plane;
import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Around;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.setting.SettingValues;

/**
 * Local contrast at three scales apart. Luma is smoothed by the guided filter, which keeps strong
 * edges and so makes no halos, with windows of 3, 10 and 33 thousandths of the long side; the
 * differences between one and the next are the details of that scale, raised or lowered by their
 * amount:
 *
 * <pre>out = in + w · Σ amount · detail,   w = 1 − (2 · luma − 1)⁴</pre>
 *
 * so that black and white stay where they are.
 */
final class LocalContrast implements AreaKernel {
  private static final double[] SIGMA = {0.003, 0.010, 0.033};

  /** Step of luma that is an edge by half and detail by half; chosen by eye. */
  private static final double EDGE = 0.22;

  /** How many times the detail is laid on at full amount; chosen by eye. */
  private static final float GAIN = 1.5f;

  private static final double NARROWEST = 0.4;

  private final float[] amounts = new float[3];
  private final Guided[] smooth = new Guided[3];

  LocalContrast(SettingValues values, Frame frame) {
    amounts[0] = amount(values.share(Crisp.SMALL));
    amounts[1] = amount(values.share(Crisp.MEDIUM));
    amounts[2] = amount(values.share(Crisp.LARGE));
    for (int k = 0; k < 3; k++) {
      if (weight(k) != 0) {
        double sigma = Math.max(NARROWEST, SIGMA[k] * frame.longSide());
        smooth[k] = new Guided(sigma, EDGE, frame.area());
      }
    }
  }

  private static float amount(double share) {
    return (float) share * (share > 0 ? GAIN : 1);
  }

  /** What a smoothed luma counts: Σ a_k (q_k−1 − q_k), sorted by q. */
  private float weight(int k) {
    return k < 2 ? amounts[k + 1] - amounts[k] : -amounts[2];
  }

  @Override
  public int reach() {
    int most = 0;
    for (Guided g : smooth) {
      most = g == null ? most : Math.max(most, g.reach());
    }
    return most;
  }

  @Override
  public int grid() {
    int most = 1;
    for (Guided g : smooth) {
      most = g == null ? most : Math.max(most, g.grid());
    }
    return most;
  }

  @Override
  public Kernel over(Part in, Area wanted, Around around) {
    Plane[] rgb = Plane.of(in);
    Guided.Line[] lines = new Guided.Line[3];
    for (int k = 0; k < 3; k++) {
      if (smooth[k] != null) {
        Guided.Moments own = smooth[k].moments(rgb, new Plane[0], wanted);
        lines[k] = smooth[k].lines(own.andItself(), wanted)[0];
      }
    }
    return (below, out, n, x, y, spare) -> {
      float[] tone = spare.t;
      float[] step = out.t;
      Luma.run(below.r, below.g, below.b, tone, n);
      scale(tone, amounts[0], step, n);
      for (int k = 0; k < 3; k++) {
        if (lines[k] != null) {
          addLine(lines[k], weight(k), tone, step, n, x, y, spare);
        }
      }
      sparingEnds(tone, step, n);
      Steps.add(below, step, out, n);
    };
  }

  private static void scale(float[] in, float factor, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = in[i] * factor;
    }
  }

  private static void addLine(
      Guided.Line line, float weight, float[] tone, float[] step, int n, int x, int y, Band work) {
    line.run(tone, x, y, n, work.g, work.r, work.b);
    float[] smooth = work.g;
    for (int i = 0; i < n; i++) {
      step[i] += smooth[i] * weight;
    }
  }

  private static void sparingEnds(float[] tone, float[] step, int n) {
    for (int i = 0; i < n; i++) {
      float off = 2 * tone[i] - 1;
      step[i] *= 1 - off * off * off * off;
    }
  }
}
