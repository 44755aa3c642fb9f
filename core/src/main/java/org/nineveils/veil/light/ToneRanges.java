package org.nineveils.veil.light;

import java.util.function.DoubleUnaryOperator;
import org.nineveils.colour.Srgb;

/**
 * Brightness, four tone ranges and contrast as functions of an encoded tone, 0…1 to 0…1. Each keeps
 * the order of tones at every amount, so any of them one after the other does too.
 */
final class ToneRanges {
  /** A part of the tone scale that white and black points move at full amount. */
  private static final double ENDS = 0.25;

  /** Strength towards the middle: deep up, light down. The order of tones allows below 4. */
  private static final double OPENING = 2;

  /** Strength towards the ends: deep down, light up. The order of tones allows below 1. */
  private static final double CLOSING = 0.9;

  private ToneRanges() {}

  /** Middle tones by a power, u^(2^−amount); black and white stay. Amount −1…1. */
  static DoubleUnaryOperator brightness(double amount) {
    double power = Math.pow(2, -amount);
    return u -> Math.pow(u, power);
  }

  /**
   * Dark tones: u + k · amount · u (1 − u)³, whose bump is at one quarter. Its slope lies between 1
   * − k/4 and 1 + k for positive amounts and above 1 − k for negative ones.
   */
  static DoubleUnaryOperator deep(double amount) {
    double k = amount * (amount > 0 ? OPENING : CLOSING);
    return u -> u + k * u * cube(1 - u);
  }

  /** Light tones: {@link #deep} seen from white. */
  static DoubleUnaryOperator light(double amount) {
    return mirrored(deep(-amount));
  }

  /** The darkest tones: u + ¼ · amount · (1 − u)⁴; lifted or pressed into black. */
  static DoubleUnaryOperator deepest(double amount) {
    return u -> limit(u + ENDS * amount * cube(1 - u) * (1 - u));
  }

  /** The lightest tones: {@link #deepest} seen from white. */
  static DoubleUnaryOperator lightest(double amount) {
    return mirrored(deepest(-amount));
  }

  /**
   * Slope 2^amount at mid-grey (18 % of the light), black, white and the order of tones kept. More
   * contrast is a power curve to either side of mid-grey; less is a straight line through it, which
   * lifts black and lowers white.
   *
   * @param amount −1…1
   */
  static DoubleUnaryOperator contrast(double amount) {
    double p = Srgb.MID_GREY;
    double slope = Math.pow(2, amount);
    if (amount <= 0) {
      return u -> p + (u - p) * slope;
    }
    return u ->
        u < p ? p * Math.pow(u / p, slope) : 1 - (1 - p) * Math.pow((1 - u) / (1 - p), slope);
  }

  private static DoubleUnaryOperator mirrored(DoubleUnaryOperator f) {
    return u -> 1 - f.applyAsDouble(1 - u);
  }

  private static double cube(double v) {
    return v * v * v;
  }

  private static double limit(double v) {
    return Math.min(1, Math.max(0, v));
  }
}
