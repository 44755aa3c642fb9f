package org.nineveils.mask;

import java.util.List;
import java.util.Map;
import org.nineveils.setting.SettingValues;

/**
 * A rule that keeps a veil off something, ready made: it is taken away from what the rules before
 * it select, by its amount.
 *
 * @param label what it guards
 * @param rule joined by minus
 */
public record Guard(String label, Rule rule) {
  /** The ready-made guards. */
  public static final List<Guard> ALL =
      List.of(
          guard("Shadows", new BrightnessRule(), Map.of("to", 10, "featherAbove", 20)),
          guard("Highlights", new BrightnessRule(), Map.of("from", 88, "featherBelow", 20)),
          guard("Skin", new SkinRule(), Map.of()));

  private static Guard guard(String label, RuleKind kind, Map<String, ?> settings) {
    SettingValues values = SettingValues.parse(kind.settings(), settings);
    return new Guard(label, new Rule(kind, values, Rule.Join.MINUS, false));
  }
}
