package org.nineveils.mask;

import org.nineveils.filter.Columns;
import org.nineveils.picture.Area;
import org.nineveils.picture.Picture;

/**
 * Turns strokes into coverage.
 *
 * <p>1. The way of a stroke is walked in steps of an eighth of the radius, and at every step the
 * brush is set down once. 2. The brush is 1 within radius · (1 − softness) and falls smoothly (1 −
 * 3t² + 2t³) to 0 at the rim; where a pen was pressed, its radius or q goes by that. 3. Within a
 * stroke, settings-down build up: c ← c + q · brush · (1 − c), where q is chosen so that one
 * straight passage leaves {@code flow} in its middle; at flow 1 the largest brush value counts; of
 * a stroke that holds to its colour the weights of {@link Holding} count. 4. The stroke moves the
 * mask by strength · c: towards 1 where it reveals, towards 0 where it hides. 5. Where a mask that
 * is brushed on has rules, what was painted is multiplied by what they select.
 *
 * <p>In the end the edge of the mask is moved and softened; see {@link MaskEdge}.
 *
 * <p>Everything is in shares of the long side, so coverage worked out for a preview and for the
 * full frame is the same mask.
 */
public final class Painter {
  private static final double STEP = 1.0 / 8;

  private Painter() {}

  /**
   * Coverage of an area.
   *
   * @param rule what holds where nothing is painted
   * @param paint strokes on top
   * @param plain the whole plain photo at the size that is rendered; rules look at it
   * @param area the part to work out, pixels
   */
  public static Coverage cover(Mask rule, Paint paint, Picture plain, Area area) {
    MaskEdge edge = MaskEdge.of(rule, plain.area());
    if (edge.changesNothing()) {
      return raw(rule, paint, plain, area);
    }
    return edge.shape(raw(rule, paint, plain, edge.needs(area)), area);
  }

  private static Coverage raw(Mask rule, Paint paint, Picture plain, Area area) {
    int longSide = plain.longSide();
    float[] mask;
    if (rule.cover() == Cover.BY_RULE) {
      mask = RuleBase.of(rule.rules(), plain, area);
    } else {
      mask = new float[area.width() * area.height()];
      java.util.Arrays.fill(mask, rule.cover().base());
    }
    float[] laid = new float[mask.length];
    for (Stroke stroke : paint.strokes()) {
      Area touched = Touched.by(stroke, plain.area(), area);
      if (touched != null) {
        Box box = new Box(touched, area);
        lay(stroke, longSide, area, box, laid);
        if (stroke.holding() > 0) {
          hold(Holding.weights(stroke, plain, touched), touched, area, laid);
        }
        apply(stroke, area, box, laid, mask);
      }
    }
    if (rule.cover() == Cover.BRUSH_ON && !rule.rules().isEmpty()) {
      float[] allowed = RuleBase.of(rule.rules(), plain, area);
      for (int i = 0; i < mask.length; i++) {
        mask[i] *= allowed[i];
      }
    }
    return new Coverage(area, mask);
  }

  private static void hold(float[] weights, Area touched, Area area, float[] laid) {
    for (int y = 0; y < touched.height(); y++) {
      int at = (touched.y() - area.y() + y) * area.width() + touched.x() - area.x();
      int from = y * touched.width();
      for (int x = 0; x < touched.width(); x++) {
        laid[at + x] *= weights[from + x];
      }
    }
  }

  private static void lay(Stroke stroke, int longSide, Area area, Box box, float[] laid) {
    double radius = Math.max(0.5, stroke.size() * longSide / 2);
    double q = perDab(stroke.flow(), stroke.softness(), step(radius) / radius);
    Dab dab = new Dab(area, box, laid, radius, stroke.softness(), q);
    Pressure pressure = stroke.pressure();
    int numbers = stroke.points().size();
    double x = stroke.at(0) * longSide;
    double y = stroke.at(1) * longSide;
    dab.press(pressure, pressure.at(0));
    dab.set(x, y);
    double at = step(radius * pressure.size(pressure.at(0))); // from the last point to the next dab
    for (int i = 2; i < numbers; i += 2) {
      double nx = stroke.at(i) * longSide;
      double ny = stroke.at(i + 1) * longSide;
      double length = Math.hypot(nx - x, ny - y);
      double from = pressure.at(i / 2 - 1);
      while (at <= length) {
        double pressed = from + (pressure.at(i / 2) - from) * at / length;
        dab.press(pressure, pressed);
        dab.set(x + (nx - x) * at / length, y + (ny - y) * at / length);
        at += step(radius * pressure.size(pressed));
      }
      at -= length;
      x = nx;
      y = ny;
    }
  }

  private static double step(double radius) {
    return Math.max(radius * STEP, 0.25);
  }

  /**
   * What one setting-down lays, so that a straight passage leaves {@code flow} in its middle: 1 −
   * Π(1 − q · brush) = flow over the steps of a diameter, solved to first order in the brush's
   * mean.
   */
  private static double perDab(double flow, double softness, double stepPerRadius) {
    if (flow >= 1) {
      return 1;
    }
    double mean = 1 - softness / 2;
    return 1 - Math.pow(1 - flow, stepPerRadius / (2 * mean));
  }

  private static void apply(Stroke stroke, Area area, Box box, float[] laid, float[] mask) {
    float strength = (float) stroke.strength();
    for (int y = box.top; y < box.bottom; y++) {
      int from = y * area.width() + box.left;
      int to = y * area.width() + box.right;
      for (int i = from; i < to; i++) {
        float c = laid[i] * strength;
        mask[i] = stroke.reveal() ? mask[i] + c * (1 - mask[i]) : mask[i] * (1 - c);
        laid[i] = 0;
      }
    }
  }

  /** Pixels that a stroke can touch, relative to the area, right and bottom outside. */
  private static final class Box {
    final int left;
    final int top;
    final int right;
    final int bottom;

    Box(Area touched, Area area) {
      this.left = touched.x() - area.x();
      this.top = touched.y() - area.y();
      this.right = touched.right() - area.x();
      this.bottom = touched.bottom() - area.y();
    }
  }

  /** The brush, set down at one place. */
  private static final class Dab {
    private final Area area;
    private final Box box;
    private final float[] laid;
    private final double whole;
    private final double softness;
    private final double most;
    private double radius;
    private float core;
    private float perFall;
    private float q;
    private boolean build;
    private final float[] squares = new float[Columns.MOST];
    private final float[] weight = new float[Columns.MOST];
    private final float[] run = new float[Columns.MOST];

    Dab(Area area, Box box, float[] laid, double radius, double softness, double q) {
      this.area = area;
      this.box = box;
      this.laid = laid;
      this.whole = radius;
      this.softness = softness;
      this.most = q;
    }

    /** Is as large, and lays as much, as it is pressed. */
    void press(Pressure by, double pressed) {
      double own = Math.max(0.5, whole * by.size(pressed));
      // The rim is never harder than one pixel, so that edges stay smooth at every size.
      double fall = Math.max(own * softness, 1);
      radius = Math.max(own, fall / 2) + (fall == 1 ? 0.5 : 0);
      core = (float) (radius - fall);
      perFall = (float) (1 / fall);
      q = (float) (most * by.flow(pressed));
      build = q < 1;
    }

    void set(double cx, double cy) {
      int top = (int) Math.max(box.top, Math.floor(cy - radius - area.y()));
      int bottom = (int) Math.min(box.bottom, Math.ceil(cy + radius - area.y()) + 1);
      int left = (int) Math.max(box.left, Math.floor(cx - radius - area.x()));
      int right = (int) Math.min(box.right, Math.ceil(cx + radius - area.x()) + 1);
      for (int x = left; x < right; x += Columns.MOST) {
        int n = Math.min(Columns.MOST, right - x);
        Columns.ramp(x + area.x(), (float) (0.5 - cx), 1, squares, n);
        square(squares, n);
        for (int y = top; y < bottom; y++) {
          float dy = (float) (y + area.y() + 0.5 - cy);
          lay(dy * dy, y * area.width() + x, n);
        }
      }
    }

    private static void square(float[] v, int n) {
      for (int i = 0; i < n; i++) {
        v[i] *= v[i];
      }
    }

    /** Lays the brush over a run of one row. */
    private void lay(float dy2, int at, int n) {
      float[] t = weight;
      float inner = core;
      float scale = perFall;
      float most = q;
      for (int i = 0; i < n; i++) {
        t[i] = (float) Math.sqrt(squares[i] + dy2);
      }
      for (int i = 0; i < n; i++) {
        t[i] = Math.min(1f, Math.max(0f, (t[i] - inner) * scale));
      }
      for (int i = 0; i < n; i++) {
        t[i] = (1 - t[i] * t[i] * (3 - 2 * t[i])) * most;
      }
      System.arraycopy(laid, at, run, 0, n);
      if (build) {
        for (int i = 0; i < n; i++) {
          run[i] += t[i] * (1 - run[i]);
        }
      } else {
        for (int i = 0; i < n; i++) {
          run[i] = Math.max(run[i], t[i]);
        }
      }
      System.arraycopy(run, 0, laid, at, n);
    }
  }
}
