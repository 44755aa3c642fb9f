package org.nineveils.setting;

import java.util.List;
import java.util.Map;

/**
 * A setting that is one of a few ways without anything half-way between.
 *
 * @param choices 2 or more; the first is the start
 */
public record ChoiceSetting(String key, String label, String group, List<Choice> choices)
    implements Setting<String> {
  /**
   * One way.
   *
   * @param id name in files
   * @param label name on screens
   */
  public record Choice(String id, String label) {}

  public ChoiceSetting {
    choices = List.copyOf(choices);
  }

  @Override
  public <R> R accept(SettingVisitor<R> visitor) {
    return visitor.choice(this);
  }

  @Override
  public String type() {
    return "choice";
  }

  @Override
  public String start() {
    return choices.get(0).id();
  }

  /** Names in files. */
  public List<String> ids() {
    return choices.stream().map(Choice::id).toList();
  }

  @Override
  public String parse(Object raw) {
    if (!ids().contains(String.valueOf(raw))) {
      throw new InvalidSetting(
          "%s must be one of %s, but was “%s”.".formatted(label, String.join(", ", ids()), raw));
    }
    return String.valueOf(raw);
  }

  @Override
  public Object format(String value) {
    return value;
  }

  @Override
  public Map<String, Object> facts() {
    return Map.of(
        "choices", choices.stream().map(c -> Map.of("id", c.id(), "label", c.label())).toList());
  }
}
