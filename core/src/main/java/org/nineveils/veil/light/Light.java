package org.nineveils.veil.light;

import java.util.List;
import java.util.Map;
import java.util.function.DoubleFunction;
import java.util.function.DoubleUnaryOperator;
import org.nineveils.colour.Bradford;
import org.nineveils.colour.Chromaticity;
import org.nineveils.colour.Matrix3;
import org.nineveils.colour.Srgb;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.StartingPoint;
import org.nineveils.veil.VeilKind;

/**
 * Exposure, white balance, and tones.
 *
 * <p>Exposure and white balance are changes of the light that fell on the scene, so they are worked
 * out in linear light: multiplication by 2^stops (one stop doubles the light), and Bradford
 * adaptation of D65 to a white that is shifted along the black-body locus (temperature, in mired,
 * so that equal steps look equal) and across it (tint, in steps of 0.0004 of CIE 1960 uv). A cooler
 * white is the inverse of a warmer one, which takes it back exactly. White keeps its luminance. The
 * shoulder bends what exposure would push beyond white back below it; see {@link Shoulder}.
 * Brightness, tone ranges and contrast are judged by eye, so they work on the encoded values,
 * channel by channel, in one table; see {@link ToneRanges}.
 */
public final class Light implements VeilKind {
  /**
   * Below this tone a full amount of deepest moves a tone farther than one of deep; a test says so.
   */
  static final double DARKEST = 0.16;

  public static final NumberSetting EXPOSURE =
      new NumberSetting("exposure", "Exposure", "Light", "stops", -5, 5, 1 / 60.0, 0.0);
  public static final NumberSetting SHOULDER =
      new NumberSetting("shoulder", "Soft shoulder", "Light", "%", 0, 100, 1, 0.0);
  public static final NumberSetting TEMPERATURE =
      new NumberSetting("temperature", "Temperature", "White balance", "mired", -200, 200, 1, 0.0);
  public static final NumberSetting GREEN_TO_PINK =
      new NumberSetting("greenToPink", "Green to pink", "White balance", "", -100, 100, 1, 0.0);
  public static final NumberSetting BRIGHTNESS = tones("brightness", "Brightness", "Light");
  public static final NumberSetting CONTRAST = tones("contrast", "Contrast", "Light");
  public static final NumberSetting DEEPEST = range("deepest", "Deepest tones", 0, DARKEST);
  public static final NumberSetting DEEP = range("deep", "Deep tones", DARKEST, 0.5);
  public static final NumberSetting LIGHT = range("light", "Light tones", 0.5, 1 - DARKEST);
  public static final NumberSetting LIGHTEST = range("lightest", "Lightest tones", 1 - DARKEST, 1);

  /**
   * Light that a photo was taken under while the camera was set for daylight: the shift that makes
   * a grey card grey again, worked out for CIE illuminants D65, D75, A and F2 seen by a camera set
   * for D55 (chromaticities of CIE 15:2018; a test goes the same way back).
   */
  private static final List<StartingPoint> LIGHT_SOURCES =
      List.of(
          source("Daylight", 0, 0),
          source("Cloud", 29, 0),
          source("Shade", 49, -1),
          source("Tungsten", -165, -14),
          source("Fluorescent", -57, -5));

  private static StartingPoint source(String label, double mired, double tint) {
    return new StartingPoint(
        "White balance", label, Map.of(TEMPERATURE.key(), mired, GREEN_TO_PINK.key(), tint));
  }

  private static final double NEUTRAL_KELVIN = 6504;
  private static final double UV_PER_GREEN_TO_PINK = 0.0004;

  private static NumberSetting range(String key, String label, double from, double to) {
    NumberSetting.Tones place = new NumberSetting.Tones(from, to);
    return new NumberSetting(key, label, "Tones", "%", -100, 100, 1, 0.0, place);
  }

  private static NumberSetting tones(String key, String label, String group) {
    return new NumberSetting(key, label, group, "%", -100, 100, 1, 0.0);
  }

  @Override
  public String id() {
    return "light";
  }

  @Override
  public String label() {
    return "Light";
  }

  @Override
  public String purpose() {
    return "exposure, white balance, contrast, tone ranges";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of("exposure", 0.8, "temperature", 25);
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(
        EXPOSURE,
        SHOULDER,
        BRIGHTNESS,
        CONTRAST,
        DEEPEST,
        DEEP,
        LIGHT,
        LIGHTEST,
        TEMPERATURE,
        GREEN_TO_PINK);
  }

  @Override
  public List<StartingPoint> startingPoints() {
    return LIGHT_SOURCES;
  }

  @Override
  public boolean isColourOnly(SettingValues values) {
    return true;
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame, int edition) {
    return new LightKernel(linear(values), shoulder(values), tones(values));
  }

  /**
   * White balance mixes the channels, the shoulder goes by the largest; all else treats each alike.
   */
  @Override
  public boolean isPerChannel(SettingValues values) {
    return values.number(TEMPERATURE) == 0
        && values.number(GREEN_TO_PINK) == 0
        && shoulder(values) == null;
  }

  private static Shoulder shoulder(SettingValues values) {
    return Shoulder.of(Math.pow(2, values.number(EXPOSURE)), values.share(SHOULDER));
  }

  /** The shoulder alone has nothing to bend. */
  @Override
  public boolean isIdentity(SettingValues values) {
    return values.atStartBut(SHOULDER);
  }

  /** What is done in linear light, as one matrix on linear sRGB. */
  static Matrix3 linear(SettingValues values) {
    double gain = Math.pow(2, values.number(EXPOSURE));
    double temperature = values.number(TEMPERATURE);
    double tint = values.number(GREEN_TO_PINK);
    if (temperature == 0 && tint == 0) {
      return Matrix3.diagonal(gain, gain, gain);
    }
    // Each on its own, so that neither bends where the other crosses 0, and each undoes itself.
    Matrix3 adapt = adapted(temperature, white(Math.abs(temperature), 0));
    adapt = adapted(tint, white(0, Math.abs(tint))).after(adapt);
    double[] white = Chromaticity.D65.toXyz();
    double luminance = adapt.apply(white[0], white[1], white[2])[1];
    return Srgb.fromXyz().after(adapt).after(Srgb.toXyz()).times(gain / luminance);
  }

  /** From D65 to a white, or back from it. */
  private static Matrix3 adapted(double direction, Chromaticity white) {
    return direction >= 0
        ? Bradford.adapt(Chromaticity.D65, white)
        : Bradford.adapt(white, Chromaticity.D65);
  }

  /**
   * The white that D65 becomes.
   *
   * @param mired shift towards warm, 0…200
   * @param tint shift towards pink, −100…100
   */
  static Chromaticity white(double mired, double tint) {
    Chromaticity neutral = Chromaticity.blackBody(NEUTRAL_KELVIN);
    double m = 1e6 / NEUTRAL_KELVIN + mired;
    Chromaticity moved = Chromaticity.blackBody(1e6 / m);
    Chromaticity ahead = Chromaticity.blackBody(1e6 / (m + 1));
    double du = ahead.u() - moved.u();
    double dv = ahead.v() - moved.v();
    double length = Math.hypot(du, dv);
    double across = tint * UV_PER_GREEN_TO_PINK / length;
    return Chromaticity.ofUv(
        Chromaticity.D65.u() + moved.u() - neutral.u() + dv * across,
        Chromaticity.D65.v() + moved.v() - neutral.v() - du * across);
  }

  /** All that is done to encoded tones, as one function; null where nothing is. */
  static DoubleUnaryOperator tones(SettingValues values) {
    DoubleUnaryOperator all = null;
    all = then(all, values.share(LIGHTEST), ToneRanges::lightest);
    all = then(all, values.share(DEEPEST), ToneRanges::deepest);
    all = then(all, values.share(LIGHT), ToneRanges::light);
    all = then(all, values.share(DEEP), ToneRanges::deep);
    all = then(all, values.share(BRIGHTNESS), ToneRanges::brightness);
    return then(all, values.share(CONTRAST), ToneRanges::contrast);
  }

  private static DoubleUnaryOperator then(
      DoubleUnaryOperator before, double amount, DoubleFunction<DoubleUnaryOperator> range) {
    if (amount == 0) {
      return before;
    }
    DoubleUnaryOperator next = range.apply(amount);
    return before == null ? next : before.andThen(next);
  }
}
