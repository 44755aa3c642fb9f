package org.nineveils.veil.light;

import java.util.List;
import org.nineveils.colour.Bradford;
import org.nineveils.colour.Chromaticity;
import org.nineveils.colour.Matrix3;
import org.nineveils.colour.Srgb;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.NumberSetting;
import org.nineveils.veil.Setting;
import org.nineveils.veil.SettingValues;
import org.nineveils.veil.VeilKind;

/**
 * Exposure, white balance and contrast.
 *
 * <p>Exposure and white balance are changes of the light that fell on the scene, so they are worked
 * out in linear light: multiplication by 2^stops (one stop doubles the light), and Bradford
 * adaptation of D65 to a white that is shifted along the black-body locus (temperature, in mired,
 * so that equal steps look equal) and across it (tint, in steps of 0.0004 of CIE 1960 uv). Contrast
 * is judged by eye, so it works on the encoded values; see {@link #contrast}.
 */
public final class Light implements VeilKind {
  public static final NumberSetting EXPOSURE =
      new NumberSetting("exposure", "Exposure", "Light", "stops", -5, 5, 1 / 60.0, 0.0);
  public static final NumberSetting TEMPERATURE =
      new NumberSetting("temperature", "Temperature", "White balance", "mired", -90, 90, 1, 0.0);
  public static final NumberSetting TINT =
      new NumberSetting("tint", "Green to pink", "White balance", "", -100, 100, 1, 0.0);
  public static final NumberSetting CONTRAST =
      new NumberSetting("contrast", "Contrast", "Light", "%", -100, 100, 1, 0.0);

  private static final double NEUTRAL_KELVIN = 6504;
  private static final double UV_PER_TINT = 0.0004;

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
    return "exposure, white balance, contrast";
  }

  @Override
  public List<Setting<?>> settings() {
    return List.of(EXPOSURE, CONTRAST, TEMPERATURE, TINT);
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame) {
    return new LightKernel(
        linear(values), contrast(values.share(CONTRAST)), values.number(CONTRAST) != 0);
  }

  /** What is done in linear light, as one matrix on linear sRGB. */
  static Matrix3 linear(SettingValues values) {
    double gain = Math.pow(2, values.number(EXPOSURE));
    double temperature = values.number(TEMPERATURE);
    double tint = values.number(TINT);
    if (temperature == 0 && tint == 0) {
      return Matrix3.diagonal(gain, gain, gain);
    }
    Matrix3 adapt = Bradford.adapt(Chromaticity.D65, white(temperature, tint));
    return Srgb.fromXyz().after(adapt).after(Srgb.toXyz()).times(gain);
  }

  /**
   * The white that D65 becomes.
   *
   * @param mired shift towards warm, −90…90
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
    double across = tint * UV_PER_TINT / length;
    return Chromaticity.ofUv(
        Chromaticity.D65.u() + moved.u() - neutral.u() + dv * across,
        Chromaticity.D65.v() + moved.v() - neutral.v() - du * across);
  }

  /**
   * The contrast curve on encoded tones: slope 2^amount at mid-grey (18 % of the light), black,
   * white and the order of tones kept. More contrast is a power curve to either side of mid-grey;
   * less is a straight line through it, which lifts black and lowers white.
   *
   * @param amount −1…1
   */
  static java.util.function.DoubleUnaryOperator contrast(double amount) {
    double p = Srgb.MID_GREY;
    double slope = Math.pow(2, amount);
    if (amount <= 0) {
      return u -> p + (u - p) * slope;
    }
    return u ->
        u < p ? p * Math.pow(u / p, slope) : 1 - (1 - p) * Math.pow((1 - u) / (1 - p), slope);
  }
}
