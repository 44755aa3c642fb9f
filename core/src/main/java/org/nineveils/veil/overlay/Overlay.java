package org.nineveils.veil.overlay;

import java.util.List;
import java.util.Map;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.setting.ChoiceSetting;
import org.nineveils.setting.Handle;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.PictureSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.VeilKind;

/**
 * Placed picture, flat colour, gradient, shaft of light, flare and film grain, one over the other,
 * each by its own amount.
 *
 * <p>Works on encoded values, since all of it is laid on by eye. Colours are HSL (CSS Color 4).
 * Flat colour and gradient replace the picture by their amount; with another blend mode the veil
 * becomes a wash or a glow. The gradient's weight is 1 on one side and falls by 3t² − 2t³ to 0 over
 * its length, along an angle or away from its middle, or anything in between; towards its far end a
 * second colour may come in by 1 minus that weight, half-way where {@code gradientMiddle} says. The
 * shaft is a beam from a point that widens and fades, the flare a source of light seen in a lens;
 * both are laid over by screen: 1 − (1 − c)(1 − w · colour). Grain is one noise for all channels,
 * strongest in the middle tones. Places and sizes are shares of the picture, so grain has the same
 * size on a print whatever the number of pixels.
 */
public final class Overlay implements VeilKind {
  public static final PictureSetting PICTURE =
      new PictureSetting("picture", "Picture", "Placed picture", PictureSetting.Use.SEEN);
  public static final NumberSetting PICTURE_AMOUNT =
      percent("pictureAmount", "Amount", "Placed picture", 100);
  public static final ChoiceSetting PICTURE_FIT =
      new ChoiceSetting(
          "pictureFit",
          "Size",
          "Placed picture",
          List.of(
              new ChoiceSetting.Choice("fill", "fills the frame"),
              new ChoiceSetting.Choice("fit", "fits into it"),
              new ChoiceSetting.Choice("tile", "is repeated")));
  public static final NumberSetting PICTURE_SCALE =
      new NumberSetting("pictureScale", "Scale", "Placed picture, place", "%", 5, 400, 1, 100.0);
  public static final NumberSetting PICTURE_ANGLE =
      new NumberSetting("pictureAngle", "Turned", "Placed picture, place", "°", -180, 180, 1, 0.0);
  public static final NumberSetting PICTURE_X =
      percent("pictureX", "From left", "Placed picture, place", 50);
  public static final NumberSetting PICTURE_Y =
      percent("pictureY", "From top", "Placed picture, place", 50);
  public static final ChoiceSetting PICTURE_MIRROR =
      new ChoiceSetting(
          "pictureMirror",
          "Mirrored",
          "Placed picture",
          List.of(
              new ChoiceSetting.Choice("no", "no"),
              new ChoiceSetting.Choice("across", "left to right"),
              new ChoiceSetting.Choice("down", "upside down"),
              new ChoiceSetting.Choice("both", "both")));

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
  public static final NumberSetting GRADIENT_END =
      percent("gradientEnd", "Amount", "Gradient, far end", 0);
  public static final NumberSetting GRADIENT_END_HUE =
      hue("gradientEndHue", "Gradient, far end", 220);
  public static final NumberSetting GRADIENT_END_SATURATION =
      percent("gradientEndSaturation", "Saturation", "Gradient, far end", 40);
  public static final NumberSetting GRADIENT_END_LIGHTNESS =
      percent("gradientEndLightness", "Lightness", "Gradient, far end", 50);
  public static final NumberSetting GRADIENT_MIDDLE =
      new NumberSetting("gradientMiddle", "Half-way at", "Gradient, far end", "%", 5, 95, 1, 50.0);
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

  public static final NumberSetting FLARE = percent("flare", "Amount", "Flare", 0);
  public static final NumberSetting FLARE_X =
      new NumberSetting("flareX", "From left", "Flare", "%", -20, 120, 1, 85.0);
  public static final NumberSetting FLARE_Y =
      new NumberSetting("flareY", "From top", "Flare", "%", -20, 120, 1, 12.0);
  public static final NumberSetting FLARE_SIZE =
      new NumberSetting("flareSize", "Size", "Flare", "%", 1, 60, 0.5, 10.0);
  public static final NumberSetting FLARE_ANGLE =
      new NumberSetting("flareAngle", "Turned", "Flare", "°", -180, 180, 1, 0.0);
  public static final NumberSetting FLARE_SPREAD =
      new NumberSetting("flareSpread", "Spread", "Flare", "%", 0, 300, 1, 100.0);
  public static final NumberSetting FLARE_BLUR = percent("flareBlur", "Blur", "Flare", 0);
  public static final NumberSetting FLARE_WARMTH = percent("flareWarmth", "Warmth", "Flare", 60);

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
    return "placed picture, flat colour, gradient, shaft of light, flare, film grain";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of("shaft", 90, "flare", 60);
  }

  @Override
  public List<Handle> handles() {
    return List.of(
        Handle.point("Placed picture", PICTURE, PICTURE_X, PICTURE_Y)
            .turned(PICTURE_ANGLE)
            .reaching(PICTURE_SCALE, Handle.Ruler.QUARTER),
        Handle.point("Gradient", GRADIENT, GRADIENT_X, GRADIENT_Y)
            .turned(GRADIENT_ANGLE)
            .reaching(GRADIENT_LENGTH, Handle.Ruler.LONG_SIDE),
        Handle.point("Shaft of light", SHAFT, SHAFT_X, SHAFT_Y).turned(SHAFT_ANGLE),
        Handle.point("Flare", FLARE, FLARE_X, FLARE_Y)
            .turnedFromMiddle(FLARE_ANGLE)
            .reaching(FLARE_SIZE, Handle.Ruler.LONG_SIDE));
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(
        PICTURE,
        PICTURE_AMOUNT,
        PICTURE_FIT,
        PICTURE_MIRROR,
        PICTURE_SCALE,
        PICTURE_ANGLE,
        PICTURE_X,
        PICTURE_Y,
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
        GRADIENT_END,
        GRADIENT_END_HUE,
        GRADIENT_END_SATURATION,
        GRADIENT_END_LIGHTNESS,
        GRADIENT_MIDDLE,
        SHAFT,
        SHAFT_X,
        SHAFT_Y,
        SHAFT_ANGLE,
        SHAFT_SPREAD,
        SHAFT_WARMTH,
        FLARE,
        FLARE_X,
        FLARE_Y,
        FLARE_SIZE,
        FLARE_ANGLE,
        FLARE_SPREAD,
        FLARE_BLUR,
        FLARE_WARMTH,
        GRAIN,
        GRAIN_SIZE,
        GRAIN_SEED);
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame, int edition) {
    return new OverlayKernel(values, frame);
  }

  /** Flat colour alone is the same everywhere. */
  @Override
  public boolean isColourOnly(SettingValues values) {
    return values.get(PICTURE).isEmpty()
        && List.of(GRADIENT, GRADIENT_END, SHAFT, FLARE, GRAIN).stream()
            .allMatch(amount -> values.number(amount) == 0);
  }

  @Override
  public boolean isPerChannel(SettingValues values) {
    return true;
  }

  /** With every amount at zero the other settings have nothing to act on. */
  @Override
  public boolean isIdentity(SettingValues values) {
    return isColourOnly(values) && values.number(FLAT) == 0;
  }
}
