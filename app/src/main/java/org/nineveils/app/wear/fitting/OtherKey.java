package org.nineveils.app.wear.fitting;

import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * The key of an effect that is worn from another wardrobe than the fitting's own: {@code kit:2#57}.
 *
 * @param wardrobe its name, “prefix:id”
 * @param key of the effect in that wardrobe
 */
record OtherKey(String wardrobe, String key) {
  private static final Pattern WRITTEN =
      Pattern.compile("([a-z]+:[0-9]{1,18})#(.+)", Pattern.DOTALL);

  /** The parts of a key; empty for one of the fitting's own wardrobe. */
  static Optional<OtherKey> parse(String written) {
    Matcher parts = WRITTEN.matcher(written);
    return parts.matches()
        ? Optional.of(new OtherKey(parts.group(1), parts.group(2)))
        : Optional.empty();
  }

  /** As fittings name it. */
  String written() {
    return wardrobe + "#" + key;
  }
}
