package org.nineveils.document;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.List;
import java.util.Locale;
import org.nineveils.catalogue.Kinds;
import org.nineveils.mask.Mask;
import org.nineveils.mask.RuleKind;
import org.nineveils.mask.RuleKinds;
import org.nineveils.setting.ChoiceSetting;
import org.nineveils.setting.ColoursSetting;
import org.nineveils.setting.CurveSetting;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.PictureSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingVisitor;
import org.nineveils.veil.VeilKind;

/** The table of all settings in {@code docs/settings.md}, derived from the descriptors. */
public final class SettingsReference {
  private SettingsReference() {}

  /** The document as Markdown. */
  public static String markdown() {
    StringBuilder out = new StringBuilder();
    out.append(
        "# Settings\n\nMade from the descriptors in the code by `./nv docs`; a test compares.\n");
    for (VeilKind kind : Kinds.all()) {
      String purpose = "%s. In files: `%s`.".formatted(sentence(kind), kind.id());
      append(kind.label(), purpose, kind.settings(), out);
    }
    for (RuleKind kind : RuleKinds.all()) {
      String purpose = "A rule of a mask. In files: `%s`.".formatted(kind.id());
      append(kind.label(), purpose, kind.settings(), out);
    }
    append("Edge of a mask", "Of any mask that does not cover everything.", Mask.EDGES, out);
    return out.toString();
  }

  private static void append(
      String title, String purpose, List<? extends Setting<?>> settings, StringBuilder out) {
    out.append("\n## %s\n\n%s\n\n".formatted(title, purpose));
    out.append("| key | setting | unit | range | start | step |\n|---|---|---|---|---|---|\n");
    settings.forEach(setting -> out.append(row(setting)).append('\n'));
  }

  private static String sentence(VeilKind kind) {
    String purpose = kind.purpose();
    return Character.toUpperCase(purpose.charAt(0)) + purpose.substring(1);
  }

  private static String row(Setting<?> setting) {
    String group = setting.group().isEmpty() ? "" : setting.group() + ": ";
    String name = group + setting.label();
    return "| `%s` | %s | %s |".formatted(setting.key(), name, setting.accept(TAKES));
  }

  /** Unit, range, start and step. */
  private static final SettingVisitor<String> TAKES =
      new SettingVisitor<>() {
        @Override
        public String number(NumberSetting n) {
          return "%s | %s … %s | %s | %s"
              .formatted(
                  n.unit(), plain(n.min()), plain(n.max()), plain(n.start()), plain(n.step()));
        }

        @Override
        public String curve(CurveSetting setting) {
          return String.format(
              Locale.ROOT,
              "tone in, tone out | %d … %d points in 0 … 1 | straight line |",
              CurveSetting.MIN_POINTS,
              CurveSetting.MAX_POINTS);
        }

        @Override
        public String colours(ColoursSetting colours) {
          return String.format(Locale.ROOT, "`#rrggbb` | 0 … %d colours | none |", colours.most());
        }

        @Override
        public String choice(ChoiceSetting choice) {
          return " | %s | %s |".formatted(String.join(", ", choice.ids()), choice.start());
        }

        @Override
        public String picture(PictureSetting setting) {
          return "SHA-256 | a picture in the package | none |";
        }
      };

  private static String plain(double v) {
    return BigDecimal.valueOf(v)
        .setScale(4, RoundingMode.HALF_UP)
        .stripTrailingZeros()
        .toPlainString();
  }
}
