package org.nineveils.colour;

/** HSL as in CSS Color Module Level 4, section 7.1. */
public final class Hsl {
  private Hsl() {}

  /**
   * A colour as encoded red, green and blue.
   *
   * @param degrees hue; any angle
   * @param saturation 0…1
   * @param lightness 0…1
   * @return three values, 0…1
   */
  public static float[] toRgb(double degrees, double saturation, double lightness) {
    float[] rgb = new float[3];
    double chroma = (1 - Math.abs(2 * lightness - 1)) * saturation;
    for (int c = 0; c < 3; c++) {
      rgb[c] = (float) (lightness + chroma * offset(degrees, c));
    }
    return rgb;
  }

  /**
   * How far a channel of a pure hue stands from the middle.
   *
   * @param channel 0 red, 1 green, 2 blue
   * @return −½…½
   */
  public static double offset(double degrees, int channel) {
    double turn = (degrees / 60 + (channel == 0 ? 0 : channel == 1 ? 4 : 2)) % 6;
    double t = (turn + 6) % 6;
    return Math.min(1, Math.max(0, Math.abs(t - 3) - 1)) - 0.5;
  }
}
