package org.nineveils.veil.crisp;

import org.nineveils.colour.Luma;
import org.nineveils.filter.Field;
import org.nineveils.filter.Plane;
import org.nineveils.kernel.Around;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.GaussianKernel;
import org.nineveils.kernel.Kernel;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.setting.SettingValues;

/**
 * Unsharp masking of luma: out = in + amount · d, where d is luma minus its Gaussian blur, drawn
 * together by the threshold. Brightening stays below {@code sharpHalo}, darkening below twice that:
 * steps up to half the bound go through as they are, larger ones are bent towards it.
 */
final class Sharpening extends GaussianKernel {
  private final float amount;
  private final float from;
  private final float halo;

  Sharpening(SettingValues values, Frame frame) {
    super(values.number(Crisp.SHARP_RADIUS) / 1000 * frame.longSide(), frame);
    amount = (float) values.share(Crisp.SHARP);
    from = (float) values.share(Crisp.SHARP_FROM);
    halo = (float) values.share(Crisp.SHARP_HALO);
  }

  @Override
  public Kernel over(Part in, Area wanted, Around around) {
    Field soft = gaussian.blur(Plane.luma(reduced(in, wanted)), wanted);
    return (below, out, n, x, y, spare) -> {
      soft.row(x, y, n, spare.r, spare.g);
      Luma.run(below.r, below.g, below.b, spare.t, n);
      step(spare, out.t, n);
      Steps.add(below, out.t, out, n);
    };
  }

  /** How far each pixel moves: luma is in t, its blur in r. */
  private void step(Band work, float[] out, int n) {
    float[] d = work.g;
    float low = from;
    for (int i = 0; i < n; i++) {
      d[i] = work.t[i] - work.r[i];
    }
    for (int i = 0; i < n; i++) {
      d[i] = Math.max(0f, d[i] - low) - Math.max(0f, -d[i] - low);
    }
    float times = amount;
    for (int i = 0; i < n; i++) {
      d[i] *= times;
    }
    bounded(d, halo, 1, work.b, n);
    bounded(d, 2 * halo, -1, out, n);
    for (int i = 0; i < n; i++) {
      out[i] = work.b[i] - out[i];
    }
  }

  /** The part of d on one side: as it is up to half the bound, from there bent to stay below it. */
  private static void bounded(float[] d, float bound, float side, float[] out, int n) {
    float half = bound / 2;
    for (int i = 0; i < n; i++) {
      float more = Math.max(0f, d[i] * side - half);
      out[i] = Math.min(half, Math.max(0f, d[i] * side)) + more / (1 + more / half);
    }
  }
}
