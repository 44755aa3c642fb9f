package org.nineveils.setting;

import java.util.Map;

/**
 * The one description of a setting. Sliders, validation, JSON Schema, command-line help and the
 * reference in {@code docs/} are derived from it.
 *
 * @param <T> type of a value
 */
public sealed interface Setting<T>
    permits NumberSetting, CurveSetting, ColoursSetting, ChoiceSetting, PictureSetting {
  /** Name in files; never changed once released. Lower case, no spaces. */
  String key();

  /** Name on screens. */
  String label();

  /** Heading that it stands under on screens. */
  String group();

  /** What sort of value it takes; screens pick an editor by it. */
  String type();

  /** What an editor must know besides: bounds, steps, choices; ready for JSON. */
  Map<String, Object> facts();

  /** The value that changes nothing, or that a new veil has where others switch it on. */
  T start();

  /**
   * Checks a value as it comes out of JSON.
   *
   * @param raw number, list or text
   * @return the value
   * @throws InvalidSetting naming this setting, what it takes and what it got
   */
  T parse(Object raw);

  /** Does what is to be done for settings of this type. */
  <R> R accept(SettingVisitor<R> visitor);

  /** The value as JSON takes it; the inverse of {@link #parse}. */
  Object format(T value);
}
