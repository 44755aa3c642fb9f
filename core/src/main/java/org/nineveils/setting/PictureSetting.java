package org.nineveils.setting;

import java.util.Map;
import java.util.regex.Pattern;

/**
 * A setting that is a picture, named by the SHA-256 of its file; empty for none.
 *
 * @param use what the picture is for
 */
public record PictureSetting(String key, String label, String group, Use use)
    implements Setting<String> {
  /** How a picture is named in files. */
  public static final String PATTERN = "^([0-9a-f]{64})?$";

  private static final Pattern NAME = Pattern.compile(PATTERN);

  /** What a picture is for. */
  public enum Use {
    /** It is seen. */
    SEEN("image/jpeg,image/png"),
    /** Its pixels are the entries of a colour table. */
    COLOUR_TABLE(".cube,.clf,image/png");

    private final String accepts;

    Use(String accepts) {
      this.accepts = accepts;
    }
  }

  @Override
  public <R> R accept(SettingVisitor<R> visitor) {
    return visitor.picture(this);
  }

  @Override
  public String type() {
    return "picture";
  }

  @Override
  public String start() {
    return "";
  }

  @Override
  public String parse(Object raw) {
    if (!(raw instanceof String text && NAME.matcher(text).matches())) {
      throw new InvalidSetting(
          "%s must be the SHA-256 of a picture, or empty, but was “%s”.".formatted(label, raw));
    }
    return text;
  }

  @Override
  public Object format(String value) {
    return value;
  }

  @Override
  public Map<String, Object> facts() {
    return Map.of("use", use.name(), "accepts", use.accepts);
  }
}
