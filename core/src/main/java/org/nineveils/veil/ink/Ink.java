package org.nineveils.veil.ink;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Frame;
import org.nineveils.veil.Kernel;
import org.nineveils.veil.VeilKind;

/**
 * More or less of four inks in nine families of colours.
 *
 * <p>Works on encoded values, where ink is what a channel lacks of white: cyan = 1 − red, magenta =
 * 1 − green, yellow = 1 − blue; black is all three together. A shift of s per cent takes {@code s ·
 * w · d} off the channel, where w is how much a pixel belongs to the family and d is the ink that
 * is there (relative), 1 (absolute), or a mixture of the two. Families, from max M, middle and min
 * m of a pixel's channels:
 *
 * <ul>
 *   <li>reds, greens, blues: M − middle, where that channel is the largest;
 *   <li>yellows, cyans, magentas: middle − m, where the two channels are the larger ones;
 *   <li>whites: max(0, 2m − 1); blacks: max(0, 1 − 2M);
 *   <li>neutrals: 1 − |M − ½| − |m − ½|.
 * </ul>
 *
 * <p>A pixel outside every family that is shifted stays bit for bit as it was. These family weights
 * are common to several open-source implementations; no published standard.
 */
public final class Ink implements VeilKind {
  /** Names of the families, in the order of the screen. */
  static final List<String> FAMILIES =
      List.of(
          "Reds",
          "Yellows",
          "Greens",
          "Cyans",
          "Blues",
          "Magentas",
          "Whites",
          "Neutrals",
          "Blacks");

  /** Names of the inks. */
  static final List<String> INKS = List.of("Cyan", "Magenta", "Yellow", "Black");

  /** Shifts by family, then ink. */
  static final List<List<NumberSetting>> SHIFTS = FAMILIES.stream().map(Ink::family).toList();

  public static final NumberSetting ABSOLUTE =
      new NumberSetting("absolute", "Absolute", "Ink", "%", 0, 100, 1, 0.0);

  private static List<NumberSetting> family(String family) {
    return INKS.stream()
        .map(
            ink ->
                new NumberSetting(
                    family.toLowerCase(Locale.ROOT) + ink,
                    ink + " in " + family.toLowerCase(Locale.ROOT),
                    "Shifts",
                    "%",
                    -100,
                    100,
                    1,
                    0.0,
                    new NumberSetting.Cell(ink, family)))
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
    return "cyan, magenta, yellow and black in nine families of colours";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of("neutralsCyan", 25, "neutralsYellow", -20, "whitesYellow", 12);
  }

  @Override
  public List<Setting<?>> settings() {
    List<Setting<?>> all = new ArrayList<>();
    for (int ink = 0; ink < INKS.size(); ink++) {
      for (List<NumberSetting> family : SHIFTS) {
        all.add(family.get(ink));
      }
    }
    all.add(ABSOLUTE);
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
    return values.atStartBut(ABSOLUTE);
  }
}
