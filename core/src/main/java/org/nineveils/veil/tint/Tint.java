package org.nineveils.veil.tint;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.NumberSetting;
import org.nineveils.veil.Setting;
import org.nineveils.veil.SettingValues;
import org.nineveils.veil.VeilKind;

/**
 * Monochrome by hue weights, then one colour over all tones.
 *
 * <p>Works on sRGB-encoded values. Monochrome: grey = luma + Σ weight · share, where luma has the
 * weights of ITU-R BT.709 and the eight shares divide a pixel's chroma (max − min) among the hues
 * 0°, 30°, 60°, 120°, 180°, 240°, 270° and 300° by straight ramps that sum to one; neutral pixels
 * therefore never move. Colourise: hue and saturation are replaced in HSL (CSS Color Module Level
 * 4, section 7), lightness is kept and shifted towards black or white.
 */
public final class Tint implements VeilKind {
  public static final NumberSetting MONOCHROME =
      new NumberSetting("monochrome", "Amount", "Monochrome", "%", 0, 100, 1, 0.0);

  /**
   * Weights of the eight hues, in the order red, orange, yellow, green, aqua, blue, purple,
   * magenta.
   */
  public static final List<NumberSetting> WEIGHTS =
      List.of(
          weight("Red"),
          weight("Orange"),
          weight("Yellow"),
          weight("Green"),
          weight("Aqua"),
          weight("Blue"),
          weight("Purple"),
          weight("Magenta"));

  public static final NumberSetting COLOURISE =
      new NumberSetting("colourise", "Amount", "Colourise", "%", 0, 100, 1, 0.0);
  public static final NumberSetting HUE =
      new NumberSetting("hue", "Hue", "Colourise", "°", 0, 360, 1, 33.0);
  public static final NumberSetting SATURATION =
      new NumberSetting("saturation", "Saturation", "Colourise", "%", 0, 100, 1, 12.0);
  public static final NumberSetting LIGHTNESS =
      new NumberSetting("lightness", "Lightness", "Colourise", "%", -100, 100, 1, 0.0);

  private static NumberSetting weight(String hue) {
    String key = hue.toLowerCase(Locale.ROOT);
    return new NumberSetting(key, hue + "s", "Brightness of each hue", "%", -100, 100, 1, 0.0);
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
    return "monochrome by hue weights, one colour over all tones";
  }

  @Override
  public List<Setting<?>> settings() {
    List<Setting<?>> all = new ArrayList<>();
    all.add(MONOCHROME);
    all.addAll(WEIGHTS);
    all.addAll(List.of(COLOURISE, HUE, SATURATION, LIGHTNESS));
    return List.copyOf(all);
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame) {
    return new TintKernel(values);
  }

  /** With both amounts at zero the other settings have nothing to act on. */
  @Override
  public boolean isIdentity(SettingValues values) {
    return values.number(MONOCHROME) == 0 && values.number(COLOURISE) == 0;
  }
}
