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
    return out;
  }

  private static Map<String, Object> rule(Rule rule) {
    return Json.object(
        "kind", rule.kind().id(),
        "join", rule.join().id(),
        "inverted", rule.inverted(),
        "settings", rule.values().format());
  }

  static Mask parse(Fields f) {
    f.only("cover", "rules");
    Cover cover = f.build(() -> Cover.ofId(f.text("cover")));
    List<Rule> rules = f.has("rules") ? f.objects("rules", MaskJson::parseRule) : List.of();
    return f.build(() -> new Mask(cover, rules));
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
