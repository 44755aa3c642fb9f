package org.nineveils.setting;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** The values of all settings of one kind: immutable, complete and valid. */
public final class SettingValues {
  private final List<Setting<?>> settings;
  private final Map<String, Object> values;

  private SettingValues(List<Setting<?>> settings, Map<String, Object> values) {
    this.settings = settings;
    this.values = values;
  }

  /** Every setting at its start value. */
  public static SettingValues start(List<Setting<?>> settings) {
    return parse(settings, Map.of());
  }

  /**
   * Values as they come out of JSON; settings that are not named are at their start.
   *
   * @param settings descriptors of the kind
   * @param raw values by key
   * @throws InvalidSetting if a key is unknown or a value is not taken
   */
  public static SettingValues parse(List<Setting<?>> settings, Map<String, ?> raw) {
    Map<String, Object> values = new LinkedHashMap<>();
    for (Setting<?> setting : settings) {
      Object given = raw.get(setting.key());
      values.put(setting.key(), given == null ? setting.start() : setting.parse(given));
    }
    for (String key : raw.keySet()) {
      if (!values.containsKey(key)) {
        throw new InvalidSetting("There is no setting “%s” in this kind of veil.".formatted(key));
      }
    }
    return new SettingValues(settings, values);
  }

  /** The value of a setting. */
  @SuppressWarnings("unchecked") // values are stored under the key of the setting that parsed them
  public <T> T get(Setting<T> setting) {
    return (T) values.get(setting.key());
  }

  /** A number setting as a primitive. */
  public double number(NumberSetting setting) {
    return get(setting);
  }

  /** A number setting in per cent as a share: 25 becomes 0.25. */
  public double share(NumberSetting setting) {
    return get(setting) / 100;
  }

  /** Whether all settings are at their start, leaving some aside that only bend the others. */
  public boolean atStartBut(Setting<?>... aside) {
    List<Setting<?>> left = List.of(aside);
    return settings.stream()
        .filter(setting -> !left.contains(setting))
        .allMatch(setting -> setting.start().equals(values.get(setting.key())));
  }

  /** All values as JSON takes them, in the order of the descriptors. */
  public Map<String, Object> format() {
    Map<String, Object> out = new LinkedHashMap<>();
    for (Setting<?> setting : settings) {
      out.put(setting.key(), formatOne(setting));
    }
    return out;
  }

  private <T> Object formatOne(Setting<T> setting) {
    return setting.format(get(setting));
  }

  @Override
  public boolean equals(Object other) {
    return other instanceof SettingValues that && values.equals(that.values);
  }

  @Override
  public int hashCode() {
    return values.hashCode();
  }

  @Override
  public String toString() {
    return values.toString();
  }
}
