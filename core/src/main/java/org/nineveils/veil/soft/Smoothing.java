package org.nineveils.veil.soft;

import java.util.Arrays;
import java.util.stream.IntStream;
import org.nineveils.colour.Luma;
import org.nineveils.filter.Field;
import org.nineveils.filter.Gaussian;
import org.nineveils.filter.Guided;
import org.nineveils.filter.Plane;
import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Around;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.Limit;
import org.nineveils.kernel.Scratch;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.setting.SettingValues;

/**
 * Skin smoothing that keeps edges. The guided filter with luma as the guide ({@link Guided}) evens
 * out blotches, while lashes, brows and outlines, whose contrast is above {@code smoothEdge}, stay.
 * Of what it takes from luma, the finest part, pores and down, is what a Gaussian of a quarter of
 * the size does not hold; the share {@code smoothTexture} of it is laid back on:
 *
 * <pre>
 * taken = luma − smooth luma
 * out = mix(in, smooth + texture · (taken − blur(taken)), amount)
 * </pre>
 */
final class Smoothing implements AreaKernel {
  private static final double FINE = 0.25;

  /** Narrowest window, pixels: below, a grid of pixels holds nothing to tell apart. */
  private static final double NARROWEST = 0.4;

  private final Guided guided;
  private final Gaussian fine;
  private final Area picture;
  private final float amount;
  private final float texture;

  Smoothing(SettingValues values, Frame frame) {
    double sigma = Math.max(NARROWEST, Soft.pixels(values, Soft.SMOOTH_SIZE, frame));
    guided = new Guided(sigma, values.share(Soft.SMOOTH_EDGE), frame.area());
    fine = new Gaussian(Math.max(NARROWEST, sigma * FINE), frame.area());
    picture = frame.area();
    amount = (float) values.share(Soft.SMOOTH);
    texture = (float) values.share(Soft.SMOOTH_TEXTURE);
  }

  @Override
  public int reach() {
    return guided.reach() + fine.reach() + fine.grid();
  }

  @Override
  public int grid() {
    return Math.max(guided.grid(), fine.grid());
  }

  @Override
  public Kernel over(Part in, Area wanted, Around around) {
    Area wide = texture > 0 ? wanted.around(fine.reach(), fine.grid(), picture) : wanted;
    Plane[] rgb = Plane.of(in);
    Guided.Moments moments = guided.moments(rgb, rgb, wide);
    if (texture == 0) {
      return new Smooth(guided.lines(moments, wide), null);
    }
    Guided.Line[] lines = guided.lines(moments.andItself(), wide);
    Plane taken = taken(in, lines[3], wide);
    return new Smooth(lines, fine.blur(fine.reduce(taken, wanted), wanted));
  }

  /** What the filter takes from luma. */
  private static Plane taken(Part in, Guided.Line line, Area area) {
    float[] out = new float[area.pixels()];
    IntStream.range(area.y(), area.bottom())
        .parallel()
        .forEach(
            y -> {
              Band rgb = Scratch.ofThread()[0];
              Band work = Scratch.ofThread()[1];
              for (int x = area.x(); x < area.right(); x += Band.CAPACITY) {
                int n = Math.min(Band.CAPACITY, area.right() - x);
                rgb.load(in.picture(), in.index(x, y), n);
                Luma.run(rgb.r, rgb.g, rgb.b, work.t, n);
                takenFrom(work.t, line, rgb.t, n, x, y, work);
                int at = (y - area.y()) * area.width() + x - area.x();
                System.arraycopy(rgb.t, 0, out, at, n);
              }
            });
    return new Plane(area, out);
  }

  private static void takenFrom(
      float[] luma, Guided.Line line, float[] out, int n, int x, int y, Band work) {
    line.run(luma, x, y, n, work.g, work.r, work.b);
    float[] smooth = work.g;
    for (int i = 0; i < n; i++) {
      out[i] = luma[i] - smooth[i];
    }
  }

  /** The last stage, pixel by pixel. */
  private final class Smooth implements Kernel {
    private final Guided.Line[] lines;
    private final Field soft;

    Smooth(Guided.Line[] lines, Field soft) {
      this.lines = lines;
      this.soft = soft;
    }

    @Override
    public void run(Band in, Band out, int n, int x, int y, Band spare) {
      float[] luma = spare.t;
      float[] kept = out.t;
      Luma.run(in.r, in.g, in.b, luma, n);
      lines[0].run(luma, x, y, n, out.r, spare.r, spare.b);
      lines[1].run(luma, x, y, n, out.g, spare.r, spare.b);
      lines[2].run(luma, x, y, n, out.b, spare.r, spare.b);
      if (soft == null) {
        Arrays.fill(kept, 0, n, 0);
      } else {
        soft.row(x, y, n, spare.r, spare.g);
        texture(luma, out, spare.r, n);
      }
      mix(in.r, kept, out.r, n);
      mix(in.g, kept, out.g, n);
      mix(in.b, kept, out.b, n);
      Limit.toRange(out, n);
    }

    /** The filter is linear in its channels, so the smooth luma is the luma of the smooth. */
    private void texture(float[] luma, Band smooth, float[] soft, int n) {
      float[] kept = smooth.t;
      float share = texture;
      Luma.run(smooth.r, smooth.g, smooth.b, kept, n);
      for (int i = 0; i < n; i++) {
        kept[i] = (luma[i] - kept[i] - soft[i]) * share;
      }
    }

    private void mix(float[] in, float[] kept, float[] smooth, int n) {
      float share = amount;
      for (int i = 0; i < n; i++) {
        smooth[i] = in[i] + (smooth[i] + kept[i] - in[i]) * share;
      }
    }
  }
}
