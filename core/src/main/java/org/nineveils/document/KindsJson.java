package org.nineveils.document;

import java.util.List;
import java.util.Map;
import org.nineveils.catalogue.Kinds;
import org.nineveils.mask.RuleKinds;
import org.nineveils.setting.CurveSetting;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.Setting;
import org.nineveils.veil.VeilKind;

/** The descriptors of all kinds as JSON: what the screens build their sliders from. */
public final class KindsJson {
  private KindsJson() {}

  /** All kinds with their settings. */
  public static List<Map<String, Object>> format() {
    return Kinds.all().stream().map(KindsJson::kind).toList();
  }

  private static Map<String, Object> kind(VeilKind kind) {
    return Json.object(
        "id", kind.id(),
        "label", kind.label(),
        "purpose", kind.purpose(),
        "settings", kind.settings().stream().map(KindsJson::setting).toList());
  }

  /** The sorts of rule that masks are made of, with their settings. */
  public static List<Map<String, Object>> rules() {
    return RuleKinds.all().stream()
        .map(
            kind ->
                Json.object(
                    "id", kind.id(),
                    "label", kind.label(),
                    "settings", kind.settings().stream().map(KindsJson::setting).toList()))
        .toList();
  }

  private static Map<String, Object> setting(Setting<?> setting) {
    Map<String, Object> out =
        Json.object(
            "key", setting.key(),
            "label", setting.label(),
            "group", setting.group(),
            "type", setting instanceof NumberSetting ? "number" : "curve",
            "start", start(setting));
    if (setting instanceof NumberSetting n) {
      out.putAll(Json.object("unit", n.unit(), "min", n.min(), "max", n.max(), "step", n.step()));
      if (n.cell() != null) {
        out.putAll(Json.object("row", n.cell().row(), "column", n.cell().column()));
      }
    } else {
      out.putAll(
          Json.object(
              "minPoints", CurveSetting.MIN_POINTS,
              "maxPoints", CurveSetting.MAX_POINTS,
              "minGap", CurveSetting.MIN_GAP));
    }
    return out;
  }

  private static <T> Object start(Setting<T> setting) {
    return setting.format(setting.start());
  }
}
