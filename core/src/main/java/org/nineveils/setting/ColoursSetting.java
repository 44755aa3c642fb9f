package org.nineveils.setting;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * A setting that is a list of colours picked on a photo, each as in CSS: {@code #rrggbb}, sRGB.
 *
 * @param most most colours
 */
public record ColoursSetting(String key, String label, String group, int most)
    implements Setting<List<String>> {
  /** How a colour is written in files. */
  public static final String PATTERN = "^#[0-9a-f]{6}$";

  private static final Pattern COLOUR = Pattern.compile(PATTERN);

  @Override
  public <R> R accept(SettingVisitor<R> visitor) {
    return visitor.colours(this);
  }

  @Override
  public String type() {
    return "colours";
  }

  @Override
  public List<String> start() {
    return List.of();
  }

  @Override
  public List<String> parse(Object raw) {
    if (!(raw instanceof List<?> list)) {
      throw new InvalidSetting("%s must be a list of colours.".formatted(label));
    }
    if (list.size() > most) {
      throw new InvalidSetting(
          String.format(
              Locale.ROOT, "%s takes at most %d colours, but has %d.", label, most, list.size()));
    }
    List<String> colours = new ArrayList<>();
    for (Object item : list) {
      String text = String.valueOf(item).toLowerCase(Locale.ROOT);
      if (!COLOUR.matcher(text).matches()) {
        throw new InvalidSetting(
            "%s: a colour must be written like #c89a80, but was “%s”.".formatted(label, item));
      }
      colours.add(text);
    }
    return List.copyOf(colours);
  }

  @Override
  public Object format(List<String> value) {
    return value;
  }

  @Override
  public Map<String, Object> facts() {
    return Map.of("most", most);
  }

  /**
   * Red, green and blue of a colour.
   *
   * @return 0…1 each
   */
  public static double[] rgb(String colour) {
    int code = Integer.parseInt(colour.substring(1), 16);
    return new double[] {(code >> 16) / 255.0, (code >> 8 & 255) / 255.0, (code & 255) / 255.0};
  }
}
