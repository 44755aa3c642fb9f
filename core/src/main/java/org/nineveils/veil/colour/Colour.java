package org.nineveils.veil.colour;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.nineveils.kernel.Frame;
import org.nineveils.kernel.HueStops;
import org.nineveils.kernel.Kernel;
import org.nineveils.kernel.NodeTable;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.PictureSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.table.ColourTable;
import org.nineveils.veil.VeilKind;

/**
 * Hue, saturation and lightness, for all colours together and for eight hues, and vibrance.
 *
 * <p>Works in Oklab (Ottosson 2020), where turning a hue or changing its strength leaves its
 * lightness as it looks. A hue is turned by rotating a and b; saturation scales them; lightness
 * goes towards white or black and takes the colour along. What belongs to which of the eight hues
 * is divided by {@link HueStops}: their shares overlap smoothly and sum to one, and a neutral pixel
 * has none, so bands never move greys. The lightness of a hue acts by how strong the colour is: max
 * − min of its encoded channels.
 *
 * <p>A colour table from elsewhere, where there is one, is run first, on the encoded values; see
 * {@link ColourTable}.
 *
 * <p>Gentleness bends the response of the three settings for all colours: play around zero, some
 * colour left at full minus, detail left at full lightness. Vibrance acts by (1 − C/0.25)² of the
 * chroma C, so that strong colours are spared, and by half on amber, where skin lies.
 */
public final class Colour implements VeilKind {
  public static final NumberSetting HUE = all("hue", "Hue", "°", -180, 180);
  public static final NumberSetting SATURATION = all("saturation", "Saturation", "%", -100, 100);
  public static final NumberSetting LIGHTNESS = all("lightness", "Lightness", "%", -100, 100);
  public static final NumberSetting GENTLE = all("gentle", "Gentle", "%", 0, 100);
  public static final NumberSetting VIBRANCE = all("vibrance", "Vibrance", "%", -100, 100);

  /** A colour table from elsewhere, run before everything else. */
  public static final PictureSetting TABLE =
      new PictureSetting("table", "Table", "Colour table", PictureSetting.Use.COLOUR_TABLE);

  public static final NumberSetting TABLE_AMOUNT =
      new NumberSetting("tableAmount", "Amount", "Colour table", "%", 0, 100, 1, 100.0);

  /** Turn of each of the eight hues. */
  public static final List<NumberSetting> BAND_HUES = bands("Hue", "°", 60);

  public static final List<NumberSetting> BAND_SATURATIONS = bands("Saturation", "%", 100);
  public static final List<NumberSetting> BAND_LIGHTNESSES = bands("Lightness", "%", 100);

  private static NumberSetting all(String key, String label, String unit, double min, double max) {
    return new NumberSetting(key, label, "All colours", unit, min, max, 1, 0.0);
  }

  private static List<NumberSetting> bands(String what, String unit, double most) {
    return IntStream.range(0, HueStops.NAMES.size())
        .mapToObj(stop -> band(what, unit, most, stop))
        .toList();
  }

  private static NumberSetting band(String what, String unit, double most, int stop) {
    String hue = HueStops.NAMES.get(stop);
    String name = hue.toLowerCase(Locale.ROOT);
    return new NumberSetting(
        name + what,
        what + " of " + name,
        "Eight hues",
        unit,
        -most,
        most,
        1,
        0.0,
        new NumberSetting.Cell(what, hue, HueStops.degrees(stop)));
  }

  @Override
  public String id() {
    return "colour";
  }

  @Override
  public String label() {
    return "Colour";
  }

  @Override
  public String purpose() {
    return "hue, saturation, lightness, vibrance, eight hues apart, colour table";
  }

  @Override
  public Map<String, Object> sample() {
    return Map.of("saturation", 45, "hue", 8);
  }

  @Override
  public List<Setting<?>> settings() {
    List<Setting<?>> settings =
        new ArrayList<>(List.of(HUE, SATURATION, LIGHTNESS, GENTLE, VIBRANCE, TABLE, TABLE_AMOUNT));
    settings.addAll(BAND_HUES);
    settings.addAll(BAND_SATURATIONS);
    settings.addAll(BAND_LIGHTNESSES);
    return List.copyOf(settings);
  }

  @Override
  public boolean isColourOnly(SettingValues values) {
    return true;
  }

  @Override
  public Kernel prepare(SettingValues values, Frame frame, int edition) {
    Kernel own =
        changes(values)
            ? new ColourKernel(values)
            : (in, out, n, x, y, spare) -> out.copyFrom(in, n);
    return Optional.of(values.get(TABLE))
        .filter(name -> !name.isEmpty())
        .flatMap(frame.shelf()::find)
        .flatMap(ColourTable::of)
        .<Kernel>map(table -> tableFirst(table, values, own))
        .orElse(own);
  }

  private static Kernel tableFirst(NodeTable table, SettingValues values, Kernel own) {
    float amount = (float) values.share(TABLE_AMOUNT);
    return new TableFirst(table, amount, changes(values) ? own : null);
  }

  /** Gentleness alone has nothing to bend, and an amount nothing to lessen. */
  @Override
  public boolean isIdentity(SettingValues values) {
    return values.get(TABLE).isEmpty() && !changes(values);
  }

  /** Whether anything but the table does something. */
  private static boolean changes(SettingValues values) {
    return !values.atStartBut(GENTLE, TABLE, TABLE_AMOUNT);
  }

  /**
   * The gentle response: odd, steeper towards the ends, short of them.
   *
   * @param amount −1…1
   * @param gentleness 0 plain … 1 gentle
   * @return between −1 and 1; at full gentleness ±0.85 at the ends and a third of the slope at zero
   */
  static double response(double amount, double gentleness) {
    double gentle = 0.85 * amount * (1 / 3.0 + 2 / 3.0 * Math.abs(amount));
    return amount + (gentle - amount) * gentleness;
  }
}
