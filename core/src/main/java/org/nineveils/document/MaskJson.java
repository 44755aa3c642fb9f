package org.nineveils.document;

import java.util.List;
import java.util.Map;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Rule;
import org.nineveils.mask.RuleKind;
import org.nineveils.mask.RuleKinds;
import org.nineveils.setting.SettingValues;

/** Masks as JSON. */
final class MaskJson {
  private MaskJson() {}

  static Map<String, Object> format(Mask mask) {
    Map<String, Object> out = Json.object("cover", mask.cover().id());
    if (!mask.rules().isEmpty()) {
      out.put("rules", mask.rules().stream().map(MaskJson::rule).toList());
    }
    if (mask.follows()) {
      out.put("veil", mask.as());
    }
    if (mask.grow() != 0) {
      out.put(Mask.GROW.key(), mask.grow());
    }
    if (mask.soften() != 0) {
      out.put(Mask.SOFTEN.key(), mask.soften());
    }
    return out;
  }

  static Map<String, Object> rule(Rule rule) {
    return Json.object(
        "kind", rule.kind().id(),
        "join", rule.join().id(),
        "inverted", rule.inverted(),
        "settings", rule.values().format());
  }

  static Mask parse(Fields f) {
    f.only("cover", "rules", "veil", Mask.GROW.key(), Mask.SOFTEN.key());
    Cover cover = f.build(() -> Cover.ofId(f.text("cover")));
    List<Rule> rules = f.has("rules") ? f.objects("rules", MaskJson::parseRule) : List.of();
    double grow = f.number(Mask.GROW.key(), 0);
    double soften = f.number(Mask.SOFTEN.key(), 0);
    return f.build(() -> new Mask(cover, rules, grow, soften, f.text("veil", "")));
  }

  private static Rule parseRule(Fields f) {
    f.only("kind", "join", "inverted", "settings");
    return f.build(
        () -> {
          RuleKind kind = RuleKinds.ofId(f.text("kind"));
          return new Rule(
              kind,
              SettingValues.parse(kind.settings(), f.object("settings").raw()),
              Rule.Join.ofId(f.text("join", Rule.Join.AND.id())),
              f.flag("inverted", false));
        });
  }
}
