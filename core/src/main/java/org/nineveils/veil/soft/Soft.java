package org.nineveils.veil.soft;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.nineveils.kernel.Adjustment;
import org.nineveils.kernel.AreaKernel;
import org.nineveils.kernel.Chain;
import org.nineveils.kernel.Frame;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Leaning;
import org.nineveils.veil.VeilKind;

/**
 * Noise reduction, skin smoothing, blur, glow and haze, in this order; what is at zero is left out.
 *
 * <p>Works on encoded values: noise, skin and softness are judged by eye. All sizes are thousandths
 * of the long side, as a standard deviation; see {@link Noise}, {@link Smoothing}, {@link Blur},
 * {@link Glow}, {@link Haze}.
 */
public final class Soft implements VeilKind {
  public static final NumberSetting SMOOTH = percent("smooth", "Amount", "Skin smoothing", 0);
  public static final NumberSetting SMOOTH_SIZE = size("smoothSize", "Skin smoothing", 1, 30, 6);
  public static final NumberSetting SMOOTH_TEXTURE =
      percent("smoothTexture", "Texture kept", "Skin smoothing", 40);
  public static final NumberSetting SMOOTH_EDGE =
      new NumberSetting("smoothEdge", "Edges from", "Skin smoothing", "%", 1, 40, 1, 12.0);

  public static final NumberSetting BLUR = size("blur", "Blur", 0, 50, 0);

  public static final NumberSetting GLOW = percent("glow", "Amount", "Glow", 0);
  public static final NumberSetting GLOW_SIZE = size("glowSize", "Glow", 1, 60, 15);
  public static final NumberSetting GLOW_FROM = percent("glowFrom", "Tones from", "Glow", 30);

  public static final NumberSetting HAZE = percent("haze", "Amount", "Haze", 0);
  public static final NumberSetting HAZE_WARMTH =
      new NumberSetting("hazeWarmth", "Cold to warm", "Haze", "%", -100, 100, 1, 0.0);

  public static final NumberSetting NOISE_LIGHT = percent("noiseLight", "Light", "Noise", 0);
  public static final NumberSetting NOISE_COLOUR = percent("noiseColour", "Colour", "Noise", 0);
  public static final NumberSetting NOISE_SIZE = size("noiseSize", "Noise", 0.2, 4, 0.8);

  private static NumberSetting percent(String key, String label, String group, double start) {
    return new NumberSetting(key, label, group, "%", 0, 100, 1, start);
  }

  private static NumberSetting size(
      String key, String group, double min, double max, double start) {
    return new NumberSetting(key, "Size", group, "‰", min, max, 0.1, start);
  }

  @Override
  public String id() {
    return "soft";
  }

  @Override
  public String label() {
    return "Soft";
  }

  @Override
  public String purpose() {
    return "skin smoothing, blur, glow, haze, noise reduction";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of("blur", 6, "haze", 30);
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(
        SMOOTH,
        SMOOTH_SIZE,
        SMOOTH_TEXTURE,
        SMOOTH_EDGE,
        BLUR,
        HAZE,
        HAZE_WARMTH,
        GLOW,
        GLOW_SIZE,
        GLOW_FROM,
        NOISE_LIGHT,
        NOISE_COLOUR,
        NOISE_SIZE);
  }

  @Override
  public Adjustment prepare(SettingValues values, Frame frame, int edition) {
    List<AreaKernel> links = new ArrayList<>();
    if (values.number(NOISE_LIGHT) > 0 || values.number(NOISE_COLOUR) > 0) {
      links.add(new Noise(values, frame));
    }
    if (values.number(SMOOTH) > 0) {
      links.add(new Smoothing(values, frame));
    }
    if (values.number(BLUR) > 0) {
      links.add(new Blur(pixels(values, BLUR, frame), frame));
    }
    if (values.number(GLOW) > 0) {
      links.add(new Glow(values, frame));
    }
    Haze haze = new Haze(values);
    if (links.isEmpty()) {
      return haze;
    }
    if (values.number(HAZE) > 0) {
      links.add(haze.alone());
    }
    return Chain.of(links, frame.area());
  }

  /** A size in pixels. */
  static double pixels(SettingValues values, NumberSetting size, Frame frame) {
    return values.number(size) / 1000 * frame.longSide();
  }

  /** Skin smoothing and noise reduction do not make a picture soft. */
  @Override
  public Leaning leaning(SettingValues values) {
    return List.of(BLUR, GLOW, HAZE).stream()
            .anyMatch(s -> Math.abs(values.number(s)) > Math.abs(s.start()))
        ? Leaning.SOFT
        : Leaning.NONE;
  }

  @Override
  public boolean isColourOnly(SettingValues values) {
    return List.of(SMOOTH, BLUR, GLOW, NOISE_LIGHT, NOISE_COLOUR).stream()
        .allMatch(amount -> values.number(amount) == 0);
  }

  @Override
  public boolean isPerChannel(SettingValues values) {
    return true;
  }

  /** With every amount at zero the other settings have nothing to act on. */
  @Override
  public boolean isIdentity(SettingValues values) {
    return isColourOnly(values) && values.number(HAZE) == 0;
  }
}
