package org.nineveils.veil;

import java.util.Optional;
import org.nineveils.mask.RuleNumber;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;

/**
 * A number of a veil that a dial may turn: one of its kind's settings, or one of a rule of its
 * mask.
 *
 * @param setting its description
 * @param value that the veil has
 */
public record Turnable(NumberSetting setting, double value) {

  /** The number of that key; empty where the veil has none. */
  public static Optional<Turnable> of(Veil veil, String key) {
    Optional<RuleNumber> ruled = RuleNumber.parse(key);
    if (ruled.isPresent()) {
      RuleNumber number = ruled.get();
      return number
          .setting(veil.mask())
          .map(s -> new Turnable(s, veil.mask().rules().get(number.rule()).values().number(s)));
    }
    for (Setting<?> setting : veil.kind().settings()) {
      if (setting.key().equals(key) && setting instanceof NumberSetting number) {
        return Optional.of(new Turnable(number, veil.settings().number(number)));
      }
    }
    return Optional.empty();
  }
}
