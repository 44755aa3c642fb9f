package org.nineveils.document;

import java.util.List;
import java.util.Map;
import org.nineveils.catalogue.Kinds;
import org.nineveils.mask.Guard;
import org.nineveils.mask.Mask;
import org.nineveils.mask.RuleKinds;
import org.nineveils.setting.Handle;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.StartingPoint;
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
        "settings", kind.settings().stream().map(KindsJson::setting).toList(),
        "startingPoints", kind.startingPoints().stream().map(KindsJson::point).toList(),
        "handles", kind.handles().stream().map(KindsJson::handle).toList(),
        "sample", SettingValues.parse(kind.settings(), kind.sample()).format());
  }

  private static Map<String, Object> handle(Handle handle) {
    return Json.object(
        "label", handle.label(),
        "shown", key(handle.shown()),
        "x", key(handle.x()),
        "y", key(handle.y()),
        "angle", key(handle.angle()),
        "length", key(handle.length()),
        "ruler", handle.ruler().name(),
        "from", handle.from().name());
  }

  private static String key(Setting<?> setting) {
    return setting == null ? "" : setting.key();
  }

  private static Map<String, Object> point(StartingPoint point) {
    return Json.object("group", point.group(), "label", point.label(), "values", point.values());
  }

  /** The sorts of rule that masks are made of, with their settings. */
  public static List<Map<String, Object>> rules() {
    return RuleKinds.all().stream()
        .map(
            kind ->
                Json.object(
                    "id", kind.id(),
                    "label", kind.label(),
                    "caution", kind.caution(),
                    "settings", kind.settings().stream().map(KindsJson::setting).toList(),
                    "handles", kind.handles().stream().map(KindsJson::handle).toList()))
        .toList();
  }

  /** What can be done to a mask once its rules have been joined and paint laid on. */
  public static List<Map<String, Object>> maskEdges() {
    return Mask.EDGES.stream().map(KindsJson::setting).toList();
  }

  /** Rules that keep a veil off something, ready made. */
  public static List<Map<String, Object>> guards() {
    return Guard.ALL.stream()
        .map(
            guard ->
                Json.object(
                    "label", guard.label(),
                    "caution", guard.rule().kind().caution(),
                    "rule", MaskJson.rule(guard.rule())))
        .toList();
  }

  private static Map<String, Object> setting(Setting<?> setting) {
    Map<String, Object> out =
        Json.object(
            "key", setting.key(),
            "label", setting.label(),
            "group", setting.group(),
            "type", setting.type(),
            "start", start(setting));
    out.putAll(setting.facts());
    return out;
  }

  private static <T> Object start(Setting<T> setting) {
    return setting.format(setting.start());
  }
}
