package org.nineveils.veil.overlay;

import java.util.List;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.VeilKind;

/**
 * Flat colour, gradient, shaft of light and film grain, one over the other, each by its own amount.
 *
 * <p>Works on encoded values, since all of it is laid on by eye. Colours are HSL (CSS Color 4).
 * Flat colour and gradient replace the picture by their amount; with another blend mode the veil
 * becomes a wash or a glow. The gradient's weight is 1 on one side and falls by 3t² − 2t³ to 0 over
 * its length, along an angle or away from its middle, or anything in between. The shaft is a beam
 * from a point that widens and fades, laid over by screen: 1 − (1 − c)(1 − w · colour). Grain is
 * one noise for all channels, strongest in the middle tones. Places and sizes are shares of the
 * picture, so grain has the same size on a print whatever the number of pixels.
 */
public final class Overlay implements VeilKind {
  public static final NumberSetting FLAT = percent("flat", "Amount", "Flat colour", 0);
  public static final NumberSetting FLAT_HUE = hue("flatHue", "Flat colour", 30);
  public static final NumberSetting FLAT_SATURATION =
      percent("flatSaturation", "Saturation", "Flat colour", 40);
  public static final NumberSetting FLAT_LIGHTNESS =
      percent("flatLightness", "Lightness", "Flat colour", 60);

  public static final NumberSetting GRADIENT = percent("gradient", "Amount", "Gradient", 0);
  public static final NumberSetting GRADIENT_HUE = hue("gradientHue", "Gradient", 35);
  public static final NumberSetting GRADIENT_SATURATION =
      percent("gradientSaturation", "Saturation", "Gradient", 70);
  public static final NumberSetting GRADIENT_LIGHTNESS =
      percent("gradientLightness", "Lightness", "Gradient", 65);
  public static final NumberSetting GRADIENT_X =
      percent("gradientX", "From left", "Gradient, place", 50);
  public static final NumberSetting GRADIENT_Y =
      percent("gradientY", "From top", "Gradient, place", 50);
  public static final NumberSetting GRADIENT_ANGLE =
      new NumberSetting("gradientAngle", "Angle", "Gradient, place", "°", -180, 180, 1, 90.0);
  public static final NumberSetting GRADIENT_LENGTH =
      new NumberSetting("gradientLength", "Length", "Gradient, place", "%", 1, 200, 1, 80.0);
  public static final NumberSetting GRADIENT_ROUND =
      percent("gradientRound", "Round", "Gradient, place", 0);

  public static final NumberSetting SHAFT = percent("shaft", "Amount", "Shaft of light", 0);
  public static final NumberSetting SHAFT_X =
      new NumberSetting("shaftX", "From left", "Shaft of light", "%", -20, 120, 1, 0.0);
  public static final NumberSetting SHAFT_Y =
      new NumberSetting("shaftY", "From top", "Shaft of light", "%", -20, 120, 1, 0.0);
  public static final NumberSetting SHAFT_ANGLE =
      new NumberSetting("shaftAngle", "Angle", "Shaft of light", "°", -180, 180, 1, 40.0);
  public static final NumberSetting SHAFT_SPREAD =
      new NumberSetting("shaftSpread", "Spread", "Shaft of light", "°", 1, 80, 1, 25.0);
  public static final NumberSetting SHAFT_WARMTH =
      percent("shaftWarmth", "Warmth", "Shaft of light", 60);

  public static final NumberSetting GRAIN = percent("grain", "Amount", "Film grain", 0);
  public static final NumberSetting GRAIN_SIZE =
      new NumberSetting("grainSize", "Size", "Film grain", "‰", 0.3, 6, 0.1, 1.0);
  public static final NumberSetting GRAIN_SEED =
      new NumberSetting("grainSeed", "Pattern", "Film grain", "", 0, 999, 1, 1.0);

  private static NumberSetting percent(String key, String label, String group, double start) {
    return new NumberSetting(key, label, group, "%", 0, 100, 1, start);
  }

  private static NumberSetting hue(String key, String group, double start) {
    return new NumberSetting(key, "Hue", group, "°", 0, 360, 1, start);
  }

  @Override
  public String id() {
    return "overlay";
  }

  @Override
  public String label() {
    return "Overlay";
  }

  @Override
  public String purpose() {
    return "flat colour, gradient, shaft of light, film grain";
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(
        FLAT,
        FLAT_HUE,
        FLAT_SATURATION,
        FLAT_LIGHTNESS,
        GRADIENT,
        GRADIENT_HUE,
        GRADIENT_SATURATION,
        GRADIENT_LIGHTNESS,
        GRADIENT_X,
        GRADIENT_Y,
        GRADIENT_ANGLE,
        GRADIENT_LENGTH,
        GRADIENT_ROUND,
        SHAFT,
        SHAFT_X,
        SHAFT_Y,
        SHAFT_ANGLE,
        SHAFT_SPREAD,
        SHAFT_WARMTH,
        GRAIN,
        GRAIN_SIZE,
        GRAIN_SEED);
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame) {
    return new OverlayKernel(values, frame);
  }

  /** Flat colour alone is the same everywhere. */
  @Override
  public boolean isColourOnly(SettingValues values) {
    return List.of(GRADIENT, SHAFT, GRAIN).stream().allMatch(amount -> values.number(amount) == 0);
  }

  @Override
  public boolean isPerChannel(SettingValues values) {
    return true;
  }

  /** With every amount at zero the other settings have nothing to act on. */
  @Override
  public boolean isIdentity(SettingValues values) {
    return List.of(FLAT, GRADIENT, SHAFT, GRAIN).stream()
        .allMatch(amount -> values.number(amount) == 0);
  }
}
