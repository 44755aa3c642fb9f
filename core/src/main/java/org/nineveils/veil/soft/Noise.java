package org.nineveils.veil.soft;

import org.nineveils.colour.Luma;
import org.nineveils.filter.Guided;
import org.nineveils.filter.Plane;
import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Around;
import org.nineveils.kernel.Band;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.Limit;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.setting.SettingValues;

/**
 * Noise reduction, apart for light and colour: luma by the guided filter with itself as the guide,
 * red − luma and blue − luma by the guided filter with luma as the guide and a window three times
 * as wide, since the eye hardly sees fine colour. Green follows from luma.
 */
final class Noise implements AreaKernel {
  /** Step of luma of which half is kept; chosen by eye. */
  private static final double LIGHT_EDGE = 0.1;

  private static final double COLOUR_EDGE = 0.16;
  private static final double COLOUR_SIZE = 3;
  private static final double NARROWEST = 0.4;
  private static final float R = Luma.of(1, 0, 0);
  private static final float G = Luma.of(0, 1, 0);
  private static final float B = Luma.of(0, 0, 1);

  private final Guided light;
  private final Guided colour;
  private final float lightShare;
  private final float colourShare;

  Noise(SettingValues values, Frame frame) {
    double sigma = Math.max(NARROWEST, Soft.pixels(values, Soft.NOISE_SIZE, frame));
    light = new Guided(sigma, LIGHT_EDGE, frame.area());
    colour = new Guided(sigma * COLOUR_SIZE, COLOUR_EDGE, frame.area());
    lightShare = (float) values.share(Soft.NOISE_LIGHT);
    colourShare = (float) values.share(Soft.NOISE_COLOUR);
  }

  @Override
  public int reach() {
    return Math.max(light.reach(), colour.reach());
  }

  @Override
  public int grid() {
    return Math.max(light.grid(), colour.grid());
  }

  @Override
  public Kernel over(Part in, Area wanted, Around around) {
    Plane[] rgb = Plane.of(in);
    Guided.Moments own = light.moments(rgb, new Plane[0], wanted);
    Guided.Line lightLine = light.lines(own.andItself(), wanted)[0];
    Plane[] redAndBlue = {rgb[0], rgb[2]};
    Guided.Line[] colourLines =
        colour.lines(differences(colour.moments(rgb, redAndBlue, wanted)), wanted);
    return (from, out, n, x, y, spare) -> {
      float[] tone = spare.t;
      Luma.run(from.r, from.g, from.b, tone, n);
      smooth(from.r, tone, colourLines[0], out.r, n, x, y, spare);
      smooth(from.b, tone, colourLines[1], out.b, n, x, y, spare);
      lightened(tone, lightLine, out.t, n, x, y, spare);
      join(out, n);
    };
  }

  /** The same of the channels less the guide. */
  private static Guided.Moments differences(Guided.Moments m) {
    Plane[] channels = new Plane[m.channels().length];
    Plane[] products = new Plane[channels.length];
    for (int c = 0; c < channels.length; c++) {
      channels[c] = minus(m.channels()[c], m.guide());
      products[c] = minus(m.products()[c], m.square());
    }
    return new Guided.Moments(m.guide(), m.square(), channels, products);
  }

  private static Plane minus(Plane a, Plane b) {
    int n = a.area().pixels();
    float[] p = a.values();
    float[] q = b.values();
    float[] out = new float[n];
    for (int i = 0; i < n; i++) {
      out[i] = p[i] - q[i];
    }
    return new Plane(a.area(), out);
  }

  /** Leaves the smoothed difference of a channel and luma in {@code out}. */
  private void smooth(
      float[] channel,
      float[] tone,
      Guided.Line line,
      float[] out,
      int n,
      int x,
      int y,
      Band work) {
    line.run(tone, x, y, n, work.g, work.r, work.b);
    float[] smooth = work.g;
    float share = colourShare;
    for (int i = 0; i < n; i++) {
      float d = channel[i] - tone[i];
      out[i] = d + (smooth[i] - d) * share;
    }
  }

  private void lightened(
      float[] tone, Guided.Line line, float[] out, int n, int x, int y, Band work) {
    line.run(tone, x, y, n, work.g, work.r, work.b);
    float[] smooth = work.g;
    float share = lightShare;
    for (int i = 0; i < n; i++) {
      out[i] = tone[i] + (smooth[i] - tone[i]) * share;
    }
  }

  /** Colours from luma (in t) and the two differences (in r and b). */
  private static void join(Band out, int n) {
    float[] r = out.r;
    float[] g = out.g;
    float[] b = out.b;
    float[] tone = out.t;
    for (int i = 0; i < n; i++) {
      g[i] = tone[i] - (R * r[i] + B * b[i]) * (1 / G);
    }
    for (int i = 0; i < n; i++) {
      r[i] += tone[i];
    }
    for (int i = 0; i < n; i++) {
      b[i] += tone[i];
    }
    Limit.toRange(out, n);
  }
}
