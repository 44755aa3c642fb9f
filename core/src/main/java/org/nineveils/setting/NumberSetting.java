package org.nineveils.setting;

import java.math.BigDecimal;
import java.util.LinkedHashMap;
import java.util.Map;

/**
 * A setting that is a number within a range.
 *
 * @param unit what the number counts: stops, mired, %, °, or empty
 * @param min smallest value
 * @param max largest value
 * @param step what one press of an arrow key changes
 * @param place among settings of its group, or null where it stands alone
 */
public record NumberSetting(
    String key,
    String label,
    String group,
    String unit,
    double min,
    double max,
    double step,
    Double start,
    Place place)
    implements Setting<Double> {
  private static final String STOPS = "stops";

  /** Exposure goes by thirds of a stop: common practice, no published source. */
  private static final double THIRD = 1 / 3.0;

  /** Place among the settings of one group. */
  public sealed interface Place permits Cell, Tones {
    /** What an editor must know of it, ready for JSON. */
    Map<String, Object> facts();
  }

  /**
   * Place in a table of settings of one group.
   *
   * @param row heading of the row
   * @param column heading of the column
   * @param hue of the column's colour in Oklab, degrees; null where it has none
   */
  public record Cell(String row, String column, Double hue) implements Place {
    @Override
    public Map<String, Object> facts() {
      Map<String, Object> facts = new LinkedHashMap<>();
      facts.put("row", row);
      facts.put("column", column);
      if (hue != null) {
        facts.put("columnHue", hue);
      }
      return facts;
    }
  }

  /**
   * Place on the scale of tones, dark to light: where it acts more than the others of its group.
   *
   * @param from encoded tone, 0…1
   * @param to encoded tone, 0…1
   */
  public record Tones(double from, double to) implements Place {
    @Override
    public Map<String, Object> facts() {
      return Map.of("tonesFrom", from, "tonesTo", to);
    }
  }

  /** A setting that stands alone. */
  public NumberSetting(
      String key,
      String label,
      String group,
      String unit,
      double min,
      double max,
      double step,
      Double start) {
    this(key, label, group, unit, min, max, step, start, null);
  }

  public NumberSetting {
    if (!(min < max && start >= min && start <= max && step > 0)) {
      throw new IllegalArgumentException("setting " + key + " has a start value out of its range");
    }
  }

  @Override
  public <R> R accept(SettingVisitor<R> visitor) {
    return visitor.number(this);
  }

  @Override
  public String type() {
    return "number";
  }

  @Override
  public Map<String, Object> facts() {
    Map<String, Object> facts = new LinkedHashMap<>();
    facts.put("unit", unit);
    facts.put("min", min);
    facts.put("max", max);
    facts.put("step", step);
    if (unit.equals(STOPS)) {
      facts.put("mark", THIRD);
    }
    if (place != null) {
      facts.putAll(place.facts());
    }
    return facts;
  }

  @Override
  public Double parse(Object raw) {
    if (!(raw instanceof Number number)) {
      throw new InvalidSetting("%s must be a number, but was “%s”.".formatted(label, raw));
    }
    double value = number.doubleValue();
    if (!(value >= min && value <= max)) {
      throw new InvalidSetting(
          "%s must be between %s and %s%s, but was %s."
              .formatted(label, plain(min), plain(max), unit.isEmpty() ? "" : " " + unit, raw));
    }
    return value;
  }

  @Override
  public Object format(Double value) {
    return value;
  }

  private static String plain(double v) {
    return BigDecimal.valueOf(v).stripTrailingZeros().toPlainString();
  }
}
