package org.nineveils.veil.curve;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleUnaryOperator;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.ToneTable;
import org.nineveils.setting.CurveSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.VeilKind;

/**
 * Tone curve and levels.
 *
 * <p>Works on sRGB-encoded values, where equal steps look about equal: levels first, those for all
 * channels, then the channel's own; then the curves in the same order; see {@link Levels}. A matte
 * finish is an output range that does not start at black.
 */
public final class Curve implements VeilKind {
  public static final CurveSetting ALL = new CurveSetting("all", "All", "Curve");
  public static final CurveSetting RED = new CurveSetting("red", "Red", "Curve");
  public static final CurveSetting GREEN = new CurveSetting("green", "Green", "Curve");
  public static final CurveSetting BLUE = new CurveSetting("blue", "Blue", "Curve");

  /** Levels for all channels, red, green, blue, in this order. */
  static final List<Levels> LEVELS =
      List.of(
          new Levels("", "All"),
          new Levels("red", "Red"),
          new Levels("green", "Green"),
          new Levels("blue", "Blue"));

  @Override
  public String id() {
    return "curve";
  }

  @Override
  public String label() {
    return "Curve";
  }

  @Override
  public String purpose() {
    return "tone curve, levels, matte";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of(
        "all",
        List.of(List.of(0.0, 0.14), List.of(0.3, 0.3), List.of(0.7, 0.78), List.of(1.0, 0.94)));
  }

  @Override
  public List<Setting<?>> settings() {
    List<Setting<?>> all = new ArrayList<>(List.of(ALL, RED, GREEN, BLUE));
    LEVELS.forEach(levels -> all.addAll(levels.settings()));
    return all;
  }

  @Override
  public boolean isColourOnly(SettingValues values) {
    return true;
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame, int edition) {
    ToneTable r = new ToneTable(channel(values, LEVELS.get(1), RED));
    ToneTable g = table(values, 2, GREEN, r);
    ToneTable b = table(values, 3, BLUE, r);
    return (in, out, n, x, y, spare) -> {
      r.run(in.r, out.r, out.t, n);
      g.run(in.g, out.g, out.t, n);
      b.run(in.b, out.b, out.t, n);
    };
  }

  @Override
  public boolean isPerChannel(SettingValues values) {
    return true;
  }

  /**
   * A channel's table: that of red where nothing is set apart, since one table stays in the cache.
   */
  private static ToneTable table(
      SettingValues values, int channel, CurveSetting curve, ToneTable red) {
    Levels levels = LEVELS.get(channel);
    boolean alike =
        values.get(curve).equals(values.get(RED)) && levels.sameAs(LEVELS.get(1), values);
    return alike ? red : new ToneTable(channel(values, levels, curve));
  }

  private static DoubleUnaryOperator channel(
      SettingValues values, Levels levels, CurveSetting curve) {
    return LEVELS
        .get(0)
        .function(values)
        .andThen(levels.function(values))
        .andThen(new MonotoneCubic(values.get(ALL))::at)
        .andThen(new MonotoneCubic(values.get(curve))::at);
  }
}
