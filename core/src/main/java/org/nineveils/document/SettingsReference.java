package org.nineveils.document;

import java.math.BigDecimal;
import java.math.RoundingMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.veil.CurveSetting;
import org.nineveils.veil.NumberSetting;
import org.nineveils.veil.Setting;
import org.nineveils.veil.VeilKind;

/** The table of all settings in {@code docs/settings.md}, derived from the descriptors. */
public final class SettingsReference {
  private SettingsReference() {}

  /** The document as Markdown. */
  public static String markdown() {
    StringBuilder out = new StringBuilder();
    out.append(
        "# Settings\n\nMade from the descriptors in the code by `./nv docs`; a test compares.\n");
    Kinds.all().forEach(kind -> append(kind, out));
    return out.toString();
  }

  private static void append(VeilKind kind, StringBuilder out) {
    out.append(
        "\n## %s\n\n%s. In files: `%s`.\n\n".formatted(kind.label(), sentence(kind), kind.id()));
    out.append("| key | setting | unit | range | start | step |\n|---|---|---|---|---|---|\n");
    for (Setting<?> setting : kind.settings()) {
      out.append(row(setting)).append('\n');
    }
  }

  private static String sentence(VeilKind kind) {
    String purpose = kind.purpose();
    return Character.toUpperCase(purpose.charAt(0)) + purpose.substring(1);
  }

  private static String row(Setting<?> setting) {
    String name = "%s: %s".formatted(setting.group(), setting.label());
    if (setting instanceof NumberSetting n) {
      return "| `%s` | %s | %s | %s … %s | %s | %s |"
          .formatted(
              n.key(),
              name,
              n.unit(),
              plain(n.min()),
              plain(n.max()),
              plain(n.start()),
              plain(n.step()));
    }
    return "| `%s` | %s | tone in, tone out | %d … %d points in 0 … 1 | straight line | |"
        .formatted(setting.key(), name, CurveSetting.MIN_POINTS, CurveSetting.MAX_POINTS);
  }

  private static String plain(double v) {
    return BigDecimal.valueOf(v)
        .setScale(4, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .toPlainString();
  }
}
