package org.nineveils.veil.curve;

import java.util.List;
import java.util.function.DoubleUnaryOperator;
import org.nineveils.setting.CurveSetting;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.ToneTable;
import org.nineveils.veil.VeilKind;

/**
 * Tone curve and levels.
 *
 * <p>Works on sRGB-encoded values, where equal steps look about equal: levels first (input range
 * stretched, gamma, output range), then the curve for all channels, then the channel's own. A matte
 * finish is an output range that does not start at black.
 */
public final class Curve implements VeilKind {
  public static final CurveSetting ALL = new CurveSetting("all", "All", "Curve");
  public static final CurveSetting RED = new CurveSetting("red", "Red", "Curve");
  public static final CurveSetting GREEN = new CurveSetting("green", "Green", "Curve");
  public static final CurveSetting BLUE = new CurveSetting("blue", "Blue", "Curve");
  public static final NumberSetting IN_BLACK = level("inBlack", "Darkest tone in", 0, 0);
  public static final NumberSetting IN_WHITE = level("inWhite", "Lightest tone in", 255, 0);
  public static final NumberSetting GAMMA =
      new NumberSetting("gamma", "Middle (gamma)", "Levels", "", 0.1, 9.99, 0.01, 1.0);
  public static final NumberSetting OUT_BLACK = level("outBlack", "Darkest tone out", 0, 0);
  public static final NumberSetting OUT_WHITE = level("outWhite", "Lightest tone out", 255, 0);

  /** Narrowest input range, in 8-bit steps, so that the stretch stays finite. */
  private static final double MIN_RANGE = 1;

  private static NumberSetting level(String key, String label, double start, double min) {
    return new NumberSetting(key, label, "Levels", "", min, 255, 1, start);
  }

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
  public List<Setting<?>> settings() {
    return List.of(ALL, RED, GREEN, BLUE, IN_BLACK, GAMMA, IN_WHITE, OUT_BLACK, OUT_WHITE);
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame) {
    DoubleUnaryOperator levels = levels(values);
    DoubleUnaryOperator all = levels.andThen(new MonotoneCubic(values.get(ALL))::at);
    ToneTable r = new ToneTable(all.andThen(new MonotoneCubic(values.get(RED))::at));
    ToneTable g = new ToneTable(all.andThen(new MonotoneCubic(values.get(GREEN))::at));
    ToneTable b = new ToneTable(all.andThen(new MonotoneCubic(values.get(BLUE))::at));
    return (in, out, n, x, y, spare) -> {
      r.run(in.r, out.r, n);
      g.run(in.g, out.g, n);
      b.run(in.b, out.b, n);
    };
  }

  @Override
  public boolean isPerChannel(SettingValues values) {
    return true;
  }

  /** Levels as a function of an encoded tone 0…1; white below black turns the tones round. */
  static DoubleUnaryOperator levels(SettingValues values) {
    double from = values.number(IN_BLACK) / 255;
    double to = Math.max(values.number(IN_WHITE) / 255, from + MIN_RANGE / 255);
    double power = 1 / values.number(GAMMA);
    double low = values.number(OUT_BLACK) / 255;
    double high = values.number(OUT_WHITE) / 255;
    return u -> {
      double t = Math.min(1, Math.max(0, (u - from) / (to - from)));
      return low + (high - low) * Math.pow(t, power);
    };
  }
}
