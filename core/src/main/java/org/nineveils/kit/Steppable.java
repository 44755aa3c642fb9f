package org.nineveils.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import org.nineveils.mask.RuleNumber;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.veil.Veil;

/**
 * A number of a veil that a series can step.
 *
 * @param key as {@link Series#of} takes it
 * @param label on screens
 * @param unit what it counts; may be empty
 * @param value what it is now
 * @param changed whether it is not at its start
 */
public record Steppable(
    String key,
    String label,
    String unit,
    double min,
    double max,
    double step,
    double value,
    boolean changed) {

  /** All numbers of a veil, those that are not at their start first. */
  public static List<Steppable> of(Veil veil) {
    List<Steppable> out = new ArrayList<>();
    for (Setting<?> setting : veil.kind().settings()) {
      if (setting instanceof NumberSetting number) {
        out.add(of(number, number.key(), grouped(number), veil.settings().number(number)));
      }
    }
    for (int i = 0; i < veil.mask().rules().size(); i++) {
      var rule = veil.mask().rules().get(i);
      for (Setting<?> setting : rule.kind().settings()) {
        if (setting instanceof NumberSetting number) {
          String key = new RuleNumber(i, number.key()).written();
          out.add(of(number, key, "Mask: " + grouped(number), rule.values().number(number)));
        }
      }
    }
    out.sort(Comparator.comparing(s -> !s.changed())); // stable: else in their order
    double opacity = 100 * veil.opacity();
    out.add(0, new Steppable(Series.OPACITY, "Opacity", "%", 0, 100, 1, opacity, true));
    return out;
  }

  private static String grouped(NumberSetting number) {
    return number.group().isEmpty() || number.group().equals(number.label())
        ? number.label()
        : number.group() + ": " + number.label();
  }

  private static Steppable of(NumberSetting number, String key, String label, double value) {
    return new Steppable(
        key,
        label,
        number.unit(),
        number.min(),
        number.max(),
        number.step(),
        value,
        value != number.start());
  }
}
