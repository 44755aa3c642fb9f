package org.nineveils.veil.tint;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.IntStream;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.HueStops;
import org.nineveils.kernel.Kernel;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.StartingPoint;
import org.nineveils.veil.VeilKind;

/**
 * Monochrome by hue weights, then one colour over all tones, then one for shadows and one for
 * lights.
 *
 * <p>Works on sRGB-encoded values. Monochrome: grey = luma + (max − min) · Σ weight · share, where
 * luma has the weights of ITU-R BT.709, max and min are the pixel's largest and smallest channel
 * and the shares are those of {@link HueStops}; neutral pixels therefore never move, and an amount
 * below 100 % leaves part of the colour. Colourise: hue and saturation are replaced in HSL (CSS
 * Color Module Level 4, section 7), lightness is kept and shifted towards black or white. Two-way
 * tint: the offsets of a hue in HSL are added, those of the shadows by 1 − t and those of the
 * lights by t, where t = 3u² − 2u³ and u is HSL lightness moved by half the balance.
 */
public final class Tint implements VeilKind {
  public static final NumberSetting MONOCHROME =
      new NumberSetting("monochrome", "Amount", "Monochrome", "%", 0, 100, 1, 0.0);

  /** Weights of the eight hues, in the order of {@link HueStops#NAMES}. */
  public static final List<NumberSetting> WEIGHTS =
      IntStream.range(0, HueStops.NAMES.size()).mapToObj(Tint::weight).toList();

  public static final NumberSetting COLOURISE =
      new NumberSetting("colourise", "Amount", "Colourise", "%", 0, 100, 1, 0.0);
  public static final NumberSetting HUE =
      new NumberSetting("hue", "Hue", "Colourise", "°", 0, 360, 1, 28.0);
  public static final NumberSetting SATURATION =
      new NumberSetting("saturation", "Saturation", "Colourise", "%", 0, 100, 1, 17.0);
  public static final NumberSetting LIGHTNESS =
      new NumberSetting("lightness", "Lightness", "Colourise", "%", -100, 100, 1, 0.0);

  public static final NumberSetting SHADOW_HUE =
      new NumberSetting("shadowHue", "Shadows, hue", "Two-way tint", "°", 0, 360, 1, 220.0);
  public static final NumberSetting SHADOW_TINT =
      new NumberSetting("shadowTint", "Shadows", "Two-way tint", "%", 0, 100, 1, 0.0);
  public static final NumberSetting LIGHT_HUE =
      new NumberSetting("lightHue", "Lights, hue", "Two-way tint", "°", 0, 360, 1, 40.0);
  public static final NumberSetting LIGHT_TINT =
      new NumberSetting("lightTint", "Lights", "Two-way tint", "%", 0, 100, 1, 0.0);
  public static final NumberSetting BALANCE =
      new NumberSetting("balance", "Balance", "Two-way tint", "%", -100, 100, 1, 0.0);

  private static NumberSetting weight(int stop) {
    String hue = HueStops.NAMES.get(stop);
    return new NumberSetting(
        hue.toLowerCase(Locale.ROOT),
        hue,
        "Brightness of each hue",
        "%",
        -100,
        100,
        1,
        0.0,
        new NumberSetting.Cell("Brightness", hue, HueStops.degrees(stop)));
  }

  @Override
  public String id() {
    return "tint";
  }

  @Override
  public String label() {
    return "Tint";
  }

  @Override
  public String purpose() {
    return "monochrome by hue weights, one colour or two over all tones";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of("colourise", 100, "saturation", 22);
  }

  @Override
  public List<Setting<?>> settings() {
    List<Setting<?>> all = new ArrayList<>();
    all.add(MONOCHROME);
    all.addAll(WEIGHTS);
    all.addAll(List.of(COLOURISE, HUE, SATURATION, LIGHTNESS));
    all.addAll(List.of(SHADOW_TINT, SHADOW_HUE, LIGHT_TINT, LIGHT_HUE, BALANCE));
    return List.copyOf(all);
  }

  /** Tones of the darkroom to begin with, chosen by eye. */
  @Override
  public List<StartingPoint> startingPoints() {
    return List.of(
        toned("Sepia", 28, 17, 4), toned("Selenium", 322, 9, -4), toned("Cold blue", 208, 14, 0));
  }

  private static StartingPoint toned(String label, double hue, double saturation, double light) {
    Map<String, Object> values =
        Map.of(
            COLOURISE.key(), 100.0,
            HUE.key(), hue,
            SATURATION.key(), saturation,
            LIGHTNESS.key(), light);
    return new StartingPoint("Colourise", label, values);
  }

  @Override
  public boolean isColourOnly(SettingValues values) {
    return true;
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame, int edition) {
    return new TintKernel(values);
  }

  /** With every amount at zero the other settings have nothing to act on. */
  @Override
  public boolean isIdentity(SettingValues values) {
    return List.of(MONOCHROME, COLOURISE, SHADOW_TINT, LIGHT_TINT).stream()
        .allMatch(amount -> values.number(amount) == 0);
  }
}
