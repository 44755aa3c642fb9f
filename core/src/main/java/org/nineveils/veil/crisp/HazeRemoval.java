package org.nineveils.veil.crisp;

import org.nineveils.colour.Luma;
import org.nineveils.filter.Guided;
import org.nineveils.filter.Level;
import org.nineveils.filter.Lowest;
import org.nineveils.filter.Plane;
import org.nineveils.filter.Window;
import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Around;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.Limit;
import org.nineveils.picture.Area;
import org.nineveils.picture.Part;
import org.nineveils.picture.Picture;
import org.nineveils.setting.SettingValues;

/**
 * Haze removal by the dark channel. Without haze, some channel is dark somewhere near every pixel;
 * how light the darkest one is tells how thick the haze is there. The air light is estimated from
 * the whole picture, the transmission is refined by the guided filter, and the scene comes back as
 * out = (in − air) / max(t, t₀) + air.
 *
 * <p>Source: K. He, J. Sun, X. Tang, "Single Image Haze Removal Using Dark Channel Prior", IEEE
 * TPAMI 33 (2011), equations 8–22 with t₀ = 0.1; its ω, the share of haze taken away, is the amount
 * times 0.95. Dark channel and transmission are worked out on the small picture of the whole, so
 * that every size of a photo is told the same.
 */
final class HazeRemoval implements AreaKernel {
  private static final double OMEGA = 0.95;
  private static final float THINNEST = 0.1f;

  /** Half the side of the patch: 15 of 600 pixels in the source. */
  private static final double PATCH = 0.0125;

  private static final double CELLS = 2;

  /** ε of the guided filter in the source's later version. */
  private static final double EPSILON = 1e-3;

  private final Guided guided;
  private final float omega;

  HazeRemoval(SettingValues values, Frame frame) {
    double radius = Math.max(1, PATCH * frame.longSide());
    Level level = Level.spanning(radius, CELLS, frame.area());
    guided = new Guided(level, Window.gaussian(radius / level.factor()), EPSILON);
    omega = (float) (values.share(Crisp.CLEAR) * OMEGA);
  }

  @Override
  public int reach() {
    return guided.reach();
  }

  @Override
  public int grid() {
    return guided.grid();
  }

  @Override
  public boolean looksAtWhole() {
    return true;
  }

  @Override
  public Kernel over(Part in, Area wanted, Around around) {
    Picture small = around.overview();
    float[] air = AirLight.of(small);
    int patch = (int) Math.max(1, Math.round(PATCH * small.longSide()));
    Plane dark = Lowest.of(darkest(small, air), patch);
    Plane veiled = around.stretched(guided.level(), guided.cells(wanted), transmission(dark));
    Guided.Moments own = guided.moments(Plane.of(in), new Plane[0], wanted);
    Guided.Line line = guided.lines(own.alike(veiled), wanted)[0];
    return (below, out, n, x, y, spare) -> {
      Luma.run(below.r, below.g, below.b, spare.t, n);
      line.run(spare.t, x, y, n, spare.g, spare.r, spare.b);
      perTransmission(spare.g, n);
      restore(below.r, air[0], spare.g, out.r, n);
      restore(below.g, air[1], spare.g, out.g, n);
      restore(below.b, air[2], spare.g, out.b, n);
      Limit.toRange(out, n);
    };
  }

  private static Plane darkest(Picture p, float[] air) {
    float[] out = new float[p.area().pixels()];
    for (int i = 0; i < out.length; i++) {
      out[i] = Math.min(p.r()[i] / air[0], Math.min(p.g()[i] / air[1], p.b()[i] / air[2]));
    }
    return new Plane(p.area(), out);
  }

  private Plane transmission(Plane dark) {
    float[] out = dark.values();
    for (int i = 0; i < out.length; i++) {
      out[i] = 1 - omega * Math.min(1f, out[i]);
    }
    return dark;
  }

  /** 1 / max(t, t₀), in place. */
  private static void perTransmission(float[] t, int n) {
    for (int i = 0; i < n; i++) {
      t[i] = 1 / Math.min(1f, Math.max(THINNEST, t[i]));
    }
  }

  private static void restore(float[] in, float air, float[] perT, float[] out, int n) {
    for (int i = 0; i < n; i++) {
      out[i] = (in[i] - air) * perT[i] + air;
    }
  }
}
