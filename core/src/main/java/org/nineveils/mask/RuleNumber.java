package org.nineveils.mask;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;

/**
 * A number of a rule of a mask, as files name it: {@code rule1.size} is the size of the first rule.
 *
 * @param rule index of the rule, from 0
 * @param key of the setting of its sort
 */
public record RuleNumber(int rule, String key) {
  /** How it is written in files. */
  public static final String PATTERN = "rule([1-9])\\.([A-Za-z]+)";

  private static final Pattern WRITTEN = Pattern.compile(PATTERN);

  /** The number of that name; empty for a key that names none. */
  public static Optional<RuleNumber> parse(String key) {
    Matcher parts = WRITTEN.matcher(key);
    return parts.matches()
        ? Optional.of(new RuleNumber(Integer.parseInt(parts.group(1)) - 1, parts.group(2)))
        : Optional.empty();
  }

  /** Its name in files. */
  public String written() {
    return String.format(Locale.ROOT, "rule%d.%s", rule + 1, key);
  }

  /** The setting in a mask; empty where it has no such rule, or the rule no such number. */
  public Optional<NumberSetting> setting(Mask mask) {
    if (rule >= mask.rules().size()) {
      return Optional.empty();
    }
    for (Setting<?> setting : mask.rules().get(rule).kind().settings()) {
      if (setting.key().equals(key) && setting instanceof NumberSetting number) {
        return Optional.of(number);
      }
    }
    return Optional.empty();
  }

  /** Whether two masks have the same sort of rule there. */
  public boolean isAlike(Mask one, Mask other) {
    return rule < one.rules().size()
        && rule < other.rules().size()
        && one.rules().get(rule).kind() == other.rules().get(rule).kind();
  }

  /** The mask with that number at a value that the setting takes. */
  public Mask set(Mask mask, double value) {
    Rule old = mask.rules().get(rule);
    Map<String, Object> all = new LinkedHashMap<>(old.values().format());
    all.put(key, value);
    SettingValues values = SettingValues.parse(old.kind().settings(), all);
    List<Rule> rules = new ArrayList<>(mask.rules());
    rules.set(rule, new Rule(old.kind(), values, old.join(), old.inverted()));
    return new Mask(mask.cover(), rules, mask.grow(), mask.soften(), mask.as());
  }
}
