package org.nineveils.mask;

import java.util.List;
import java.util.Map;
import org.nineveils.picture.Picture;
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

  /** The rule that keeps off skin by an amount, 0…100 %. */
  public static Rule skin(double amount) {
    Map<String, Double> settings = Map.of(RuleKind.AMOUNT.key(), amount);
    return guard("Skin", new SkinRule(), settings).rule();
  }

  /**
   * Where the skin rule finds skin on a photo.
   *
   * @return coverage of every pixel, 0…1
   */
  public static float[] skinOf(Picture plain) {
    SkinRule kind = new SkinRule();
    Rule rule = new Rule(kind, SettingValues.start(kind.settings()), Rule.Join.AND, false);
    return RuleBase.of(List.of(rule), plain, plain.area());
  }

  private static Guard guard(String label, RuleKind kind, Map<String, ?> settings) {
    SettingValues values = SettingValues.parse(kind.settings(), settings);
    return new Guard(label, new Rule(kind, values, Rule.Join.MINUS, false));
  }
}
