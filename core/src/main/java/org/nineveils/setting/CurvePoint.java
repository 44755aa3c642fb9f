package org.nineveils.setting;

/**
 * A point of a tone curve.
 *
 * @param in tone that comes in, 0…1
 * @param out tone that goes out, 0…1
 */
public record CurvePoint(double in, double out) {
  public CurvePoint {
    if (!(in >= 0 && in <= 1 && out >= 0 && out <= 1)) {
      throw new InvalidSetting(
          "A curve point must lie between 0 and 1, but was %s, %s.".formatted(in, out));
    }
  }
}
