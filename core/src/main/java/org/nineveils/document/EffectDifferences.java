package org.nineveils.document;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;

/** What differs between an effect and the one that it comes from, veil by veil. */
public final class EffectDifferences {
  private static final Map<String, String> FIELDS = new LinkedHashMap<>();

  static {
    FIELDS.put("name", "Name");
    FIELDS.put("blend", "Blend mode");
    FIELDS.put("opacity", "Opacity");
    FIELDS.put("lifted", "Lifted");
    FIELDS.put("mask", "Mask");
    FIELDS.put("meantFor", "Meant for");
  }

  private EffectDifferences() {}

  /**
   * One thing that differs.
   *
   * @param veil id of the veil; empty for the effect as a whole
   * @param name of the veil, or “The effect”
   * @param field of the veil's JSON, “settings”, “veil” for a whole one, “order”, “note” or “dials”
   * @param key of the setting, else empty
   * @param label what differs, for the user
   * @param theirs of the origin, for the user
   * @param ours for the user
   * @param value of the origin as JSON: what is taken over; null for a veil that it has not
   * @param at place of a whole veil in the origin
   */
  public record Difference(
      String veil,
      String name,
      String field,
      String key,
      String label,
      String theirs,
      String ours,
      Object value,
      int at) {}

  /**
   * Compares two effects; veils are matched by id.
   *
   * @param origin the one it comes from
   * @param own the one that is looked at
   * @return in the order of the veils, what concerns the whole last; empty where both are equal
   */
  public static List<Difference> between(Effect origin, Effect own) {
    List<Difference> out = new ArrayList<>();
    for (int i = 0; i < origin.veils().size(); i++) {
      Veil theirs = origin.veils().get(i);
      Veil ours = own.veil(theirs.id()).orElse(null);
      if (ours == null) {
        Object value = EffectJson.formatVeil(theirs);
        out.add(whole(theirs, "hangs there", "not here", value, i));
      } else {
        compare(theirs, ours, out);
      }
    }
    for (Veil ours : own.veils()) {
      if (origin.veil(ours.id()).isEmpty()) {
        out.add(whole(ours, "not there", "hangs here", null, 0));
      }
    }
    List<String> order = common(origin, own);
    if (!order.equals(common(own, origin))) {
      out.add(
          new Difference(
              "",
              "The effect",
              "order",
              "",
              "Order of the veils",
              "as there",
              "as here",
              order,
              0));
    }
    if (!origin.note().equals(own.note())) {
      String theirs = origin.note();
      out.add(new Difference("", "The effect", "note", "", "Note", theirs, own.note(), theirs, 0));
    }
    List<Object> dials = dials(origin, own);
    if (!origin.dials().equals(own.dials())) {
      String theirs = origin.dials().size() + " of them";
      String ours = own.dials().size() + " of them";
      out.add(new Difference("", "The effect", "dials", "", "Dials", theirs, ours, dials, 0));
    }
    if (origin.start() != own.start()) {
      String theirs = said("opacity", origin.start());
      String ours = said("opacity", own.start());
      Object value = origin.start();
      out.add(new Difference("", "The effect", "start", "", "Goes on at", theirs, ours, value, 0));
    }
    if (!origin.madeFor().equals(own.madeFor())) {
      List<String> value = origin.madeFor();
      String ours = tags(own.madeFor());
      out.add(
          new Difference("", "The effect", "madeFor", "", "Made for", tags(value), ours, value, 0));
    }
    return out;
  }

  private static String tags(List<String> madeFor) {
    return madeFor.isEmpty() ? "any photo" : String.join(", ", madeFor);
  }

  /** The origin's dials that can be taken over: of numbers that both have. */
  private static List<Object> dials(Effect origin, Effect own) {
    return origin.dials().stream()
        .filter(d -> own.veil(d.veil()).filter(d::fits).isPresent())
        .<Object>map(EffectJson::formatDial)
        .toList();
  }

  private static Difference whole(Veil veil, String theirs, String ours, Object value, int at) {
    return new Difference(
        veil.id(), veil.name(), "veil", "", "The whole veil", theirs, ours, value, at);
  }

  private static List<String> common(Effect a, Effect b) {
    return a.veils().stream().map(Veil::id).filter(id -> b.veil(id).isPresent()).toList();
  }

  private static void compare(Veil theirs, Veil ours, List<Difference> out) {
    if (theirs.kind() != ours.kind()) {
      out.add(whole(theirs, theirs.kind().label(), ours.kind().label(), null, 0));
      return;
    }
    Map<String, Object> a = EffectJson.formatVeil(theirs);
    Map<String, Object> b = EffectJson.formatVeil(ours);
    FIELDS.forEach(
        (field, label) -> {
          if (!Objects.equals(a.get(field), b.get(field))) {
            String left = said(field, a.get(field));
            String right = said(field, b.get(field));
            out.add(
                new Difference(
                    ours.id(), ours.name(), field, "", label, left, right, a.get(field), 0));
          }
        });
    Map<String, Object> left = theirs.settings().format();
    Map<String, Object> right = ours.settings().format();
    for (Setting<?> s : ours.kind().settings()) {
      Object value = left.get(s.key());
      if (!Objects.equals(value, right.get(s.key()))) {
        out.add(
            new Difference(
                ours.id(),
                ours.name(),
                "settings",
                s.key(),
                label(s),
                number(s, value),
                number(s, right.get(s.key())),
                value,
                0));
      }
    }
  }

  /** The group says what a label alone leaves open. */
  private static String label(Setting<?> s) {
    return s.group().isEmpty() || s.group().equals(s.label())
        ? s.label()
        : s.group() + ", " + s.label().toLowerCase(java.util.Locale.ROOT);
  }

  private static String said(String field, Object value) {
    return switch (field) {
      case "opacity" -> plain(100 * (double) value) + " %";
      case "lifted" -> (boolean) value ? "lifted" : "down";
      case "mask" -> mask((Map<?, ?>) value);
      default -> String.valueOf(value);
    };
  }

  private static String mask(Map<?, ?> mask) {
    String cover = String.valueOf(mask.get("cover")).replace('-', ' ');
    return mask.get("rules") instanceof List<?> rules
        ? String.format(
            Locale.ROOT, "%s, %d %s", cover, rules.size(), rules.size() == 1 ? "rule" : "rules")
        : cover;
  }

  private static String number(Setting<?> s, Object value) {
    if (s instanceof NumberSetting n && value instanceof Number v) {
      return (plain(v.doubleValue()) + " " + n.unit()).strip();
    }
    return value instanceof List<?> list ? list.size() + " points" : String.valueOf(value);
  }

  private static String plain(double v) {
    return java.math.BigDecimal.valueOf(Math.round(v * 100) / 100.0)
        .stripTrailingZeros()
        .toPlainString();
  }
}
