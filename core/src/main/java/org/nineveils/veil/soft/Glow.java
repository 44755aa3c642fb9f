package org.nineveils.veil.soft;

import org.nineveils.filter.Field;
import org.nineveils.filter.Plane;
import org.nineveils.kernel.Around;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.GaussianKernel;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.Limit;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.setting.SettingValues;

/**
 * Light tones spread a soft light: what is lighter than {@code glowFrom} is blurred and laid over
 * by screen, out = in + (1 − in) · amount · glow. A tone glows by (luma − from) / (1 − from), so
 * the glow sets in without a step.
 */
final class Glow extends GaussianKernel {
  private static final float NARROWEST = 0.05f;

  private final float amount;
  private final float from;
  private final float perTone;

  Glow(SettingValues values, Frame frame) {
    super(Soft.pixels(values, Soft.GLOW_SIZE, frame), frame);
    amount = (float) values.share(Soft.GLOW);
    from = Math.min(1 - NARROWEST, (float) values.share(Soft.GLOW_FROM));
    perTone = 1 / (1 - from);
  }

  @Override
  public Kernel over(Part in, Area wanted, Around around) {
    Plane[] coarse = reduced(in, wanted);
    Plane luma = Plane.luma(coarse);
    Field[] glow = new Field[3];
    for (int c = 0; c < 3; c++) {
      glow[c] = gaussian.blur(glowing(coarse[c], luma), wanted);
    }
    return (below, out, n, x, y, spare) -> {
      lay(glow[0], below.r, out.r, n, x, y, spare.r, spare.t);
      lay(glow[1], below.g, out.g, n, x, y, spare.r, spare.t);
      lay(glow[2], below.b, out.b, n, x, y, spare.r, spare.t);
      Limit.toRange(out, n);
    };
  }

  private Plane glowing(Plane channel, Plane luma) {
    float[] rim = channel.rim() == null ? null : glowing(channel.rim(), luma.rim());
    return new Plane(channel.area(), glowing(channel.values(), luma.values()), rim);
  }

  private float[] glowing(float[] c, float[] y) {
    float[] out = new float[c.length];
    float low = from;
    float scale = perTone;
    for (int i = 0; i < out.length; i++) {
      out[i] = c[i] * Math.max(0f, (y[i] - low) * scale);
    }
    return out;
  }

  private void lay(
      Field glow, float[] in, float[] out, int n, int x, int y, float[] light, float[] scratch) {
    glow.row(x, y, n, light, scratch);
    float share = amount;
    for (int i = 0; i < n; i++) {
      out[i] = in[i] + (1 - in[i]) * light[i] * share;
    }
  }
}
