package org.nineveils.setting;

/**
 * Settings that are a place on the picture, and are set there: a point, and from it a direction and
 * a distance where there are such settings. A direction is in degrees, clockwise.
 *
 * @param label what lies there
 * @param shown the handle is shown where this setting is not at its start; null for always
 * @param x place from the left, per cent of the width
 * @param y place from the top, per cent of the height
 * @param angle direction, or null
 * @param length distance, or null
 * @param ruler what the distance is a percentage of
 * @param from where a direction of 0 points
 */
public record Handle(
    String label,
    Setting<?> shown,
    NumberSetting x,
    NumberSetting y,
    NumberSetting angle,
    NumberSetting length,
    Ruler ruler,
    From from) {

  /** What a distance is a share of. */
  public enum Ruler {
    LONG_SIDE,
    /** From the middle of the frame to its corner. */
    HALF_DIAGONAL,
    /** A quarter of the long side. */
    QUARTER
  }

  /** Where a direction of 0 points. */
  public enum From {
    /** To the right. */
    RIGHT,
    /** From the point to the middle of the frame; to the right where the point lies there. */
    MIDDLE
  }

  /** A point alone. */
  public static Handle point(String label, Setting<?> shown, NumberSetting x, NumberSetting y) {
    return new Handle(label, shown, x, y, null, null, Ruler.LONG_SIDE, From.RIGHT);
  }

  /** The same with a distance from the point, in shares of the ruler. */
  public Handle reaching(NumberSetting distance, Ruler of) {
    return new Handle(label, shown, x, y, angle, distance, of, from);
  }

  /** The same with a direction. */
  public Handle turned(NumberSetting direction) {
    return new Handle(label, shown, x, y, direction, length, ruler, From.RIGHT);
  }

  /** The same with a direction that is 0 where it goes to the middle of the frame. */
  public Handle turnedFromMiddle(NumberSetting direction) {
    return new Handle(label, shown, x, y, direction, length, ruler, From.MIDDLE);
  }
}
