package org.nineveils.veil;

import org.nineveils.setting.InvalidSetting;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;

/**
 * A setting that the photographer may change, within a range that the maker chose.
 *
 * @param veil id of the veil that it turns
 * @param key of a number setting of that veil's kind
 * @param label what the photographer reads, 1…{@value #MAX_LABEL} characters
 * @param min smallest value, in the setting's unit
 * @param max largest value, above min
 */
public record Dial(String veil, String key, String label, double min, double max) {
  /** Longest label. */
  public static final int MAX_LABEL = 40;

  public Dial {
    if (label.isBlank() || label.length() > MAX_LABEL) {
      throw new InvalidSetting(
          "A dial must have a label of 1 to %d characters.".formatted(MAX_LABEL));
    }
    if (!(min < max)) {
      throw new InvalidSetting(
          "Dial “%s” must end above where it begins, but runs from %s to %s."
              .formatted(label, min, max));
    }
  }

  /**
   * The setting that it turns.
   *
   * @param of the veil of its id
   * @throws InvalidSetting if the kind has no such number, or its range or the veil's own value
   *     does not fit the range of the dial
   */
  public NumberSetting setting(Veil of) {
    for (Setting<?> setting : of.kind().settings()) {
      if (setting.key().equals(key) && setting instanceof NumberSetting number) {
        double own = of.settings().number(number);
        if (min < number.min() || max > number.max() || own < min || own > max) {
          throw new InvalidSetting(
              "Dial “%s” must lie within %s to %s and hold the veil's own value %s, but runs from %s to %s."
                  .formatted(label, number.min(), number.max(), own, min, max));
        }
        return number;
      }
    }
    throw new InvalidSetting(
        "Dial “%s” turns “%s”, which is no number of the veil “%s”."
            .formatted(label, key, of.name()));
  }

  /** The value nearest to a wanted one that the dial allows. */
  public double within(double value) {
    return Math.min(max, Math.max(min, value));
  }
}
