package org.nineveils.veil.ink;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.Kernel;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.VeilKind;

/**
 * More or less of four inks in nine families of colours.
 *
 * <p>Works on encoded values, where ink is what a channel lacks of white: cyan = 1 − red, magenta =
 * 1 − green, yellow = 1 − blue; black is all three together. A shift of s per cent takes {@code s ·
 * w · d} off the channel, where w is how much a pixel belongs to the family and d is the ink that
 * is there, 1 (also where there is none yet), or a mixture of the two. Families, from max M, middle
 * and min m of a pixel's channels:
 *
 * <ul>
 *   <li>poppy, clover, cobalt: M − middle, where red, green or blue is the largest channel;
 *   <li>lemon, lagoon, orchid: middle − m, where red and green, green and blue, or blue and red are
 *       the larger ones;
 *   <li>darks: max(0, 1 − 2M); lights: max(0, 2m − 1);
 *   <li>middles: 1 − |M − ½| − |m − ½|.
 * </ul>
 *
 * <p>A pixel outside every family that is shifted stays bit for bit as it was. These family weights
 * are common to several open-source implementations; no published standard.
 */
public final class Ink implements VeilKind {
  /**
   * A family of colours, words of our own.
   *
   * @param hue of its patch in Oklab, degrees; null for greys
   */
  record Family(String name, Double hue) {}

  /** Six hues in the order of the wheel, then greys from dark to light. */
  static final List<Family> FAMILIES =
      List.of(
          new Family("Poppy", 29.0),
          new Family("Lemon", 110.0),
          new Family("Clover", 142.0),
          new Family("Lagoon", 195.0),
          new Family("Cobalt", 264.0),
          new Family("Orchid", 328.0),
          new Family("Darks", null),
          new Family("Middles", null),
          new Family("Lights", null));

  /** Names of the inks. */
  static final List<String> INKS = List.of("Cyan", "Magenta", "Yellow", "Black");

  /** Shifts by family, then ink. */
  static final List<List<NumberSetting>> SHIFTS = FAMILIES.stream().map(Ink::family).toList();

  /** Otherwise a shift goes by the ink that is there. */
  public static final NumberSetting ALSO_WHERE_NONE =
      new NumberSetting("alsoWhereNone", "Also where none is yet", "Ink", "%", 0, 100, 1, 0.0);

  private static List<NumberSetting> family(Family family) {
    String name = family.name().toLowerCase(Locale.ROOT);
    return INKS.stream()
        .map(
            ink ->
                new NumberSetting(
                    name + ink,
                    ink + " in " + name,
                    "Shifts",
                    "%",
                    -100,
                    100,
                    1,
                    0.0,
                    new NumberSetting.Cell(ink, family.name(), family.hue())))
        .toList();
  }

  @Override
  public String id() {
    return "ink";
  }

  @Override
  public String label() {
    return "Ink";
  }

  @Override
  public String purpose() {
    return "cyan, magenta, yellow and black, in six hues, darks, middles and lights";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of("middlesCyan", 25, "middlesYellow", -20, "lightsYellow", 12);
  }

  @Override
  public List<Setting<?>> settings() {
    List<Setting<?>> all = new ArrayList<>();
    for (int ink = 0; ink < INKS.size(); ink++) {
      for (List<NumberSetting> family : SHIFTS) {
        all.add(family.get(ink));
      }
    }
    all.add(ALSO_WHERE_NONE);
    return List.copyOf(all);
  }

  @Override
  public boolean isColourOnly(SettingValues values) {
    return true;
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame, int edition) {
    return new InkKernel(values);
  }

  /** The way of counting alone shifts nothing. */
  @Override
  public boolean isIdentity(SettingValues values) {
    return values.atStartBut(ALSO_WHERE_NONE);
  }
}
