package org.nineveils.release;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.document.Json;
import org.nineveils.kit.StackingRule;
import org.nineveils.mask.Cover;
import org.nineveils.mask.Mask;
import org.nineveils.mask.Rule;
import org.nineveils.mask.RuleKinds;
import org.nineveils.name.Names;
import org.nineveils.refusal.InputLimits;
import org.nineveils.setting.ChoiceSetting;
import org.nineveils.setting.ColoursSetting;
import org.nineveils.setting.CurveSetting;
import org.nineveils.setting.NumberSetting;
import org.nineveils.setting.PictureSetting;
import org.nineveils.setting.Setting;
import org.nineveils.setting.SettingVisitor;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/** JSON Schemas (draft 2020-12) of the files in a release, derived from the setting descriptors. */
public final class FormatSchema {
  private static final String DRAFT = "https://json-schema.org/draft/2020-12/schema";

  private FormatSchema() {}

  /** Schema of an effect's file. */
  public static String effect() {
    Map<String, Object> schema =
        object(
            Json.object(
                "edition", Json.object("type", "integer", "minimum", 1),
                "note", text(0, Effect.MAX_NOTE),
                "veils", listOf(veil(), 0, Effect.MAX_VEILS),
                "dials", listOf(dial(), 0, Effect.MAX_DIALS),
                "start",
                    Json.object(
                        "type", "number", "exclusiveMinimum", 0, "maximum", 1, "default", 1),
                "madeFor", listOf(text(1, Effect.MAX_TAG), 0, Effect.MAX_TAGS)),
            List.of("edition", "veils"));
    return document("Effect of a Nine Veils release", schema);
  }

  static Map<String, Object> section(Object effect) {
    Object against =
        object(
            Json.object(
                "section", Json.object("type", "integer", "minimum", 1),
                "asks", Json.object("type", "boolean")),
            List.of("section", "asks"));
    return object(
        Json.object(
            "number", Json.object("type", "integer", "minimum", 1),
            "name", text(1, Names.MAX),
            "rule", oneOf(List.of(StackingRule.values()).stream().map(r -> r.id()).toList()),
            "effects", listOf(effect, 0, InputLimits.RELEASE_ENTRIES),
            "against", listOf(against, 0, 99)),
        List.of("number", "name", "rule", "effects"));
  }

  static Object kit(Object section) {
    return object(
        Json.object(
            "name", text(1, Names.MAX),
            "purpose", words(Words.PURPOSE),
            "sections", listOf(section, 0, 99)),
        List.of("name", "purpose", "sections"));
  }

  private static Object dial() {
    return object(
        Json.object(
            "veil", text(1, 40),
            "key", text(1, 60),
            "label", text(1, Dial.MAX_LABEL),
            "min", Json.object("type", "number"),
            "max", Json.object("type", "number"),
            "heading", text(0, Dial.MAX_LABEL)),
        List.of("veil", "key", "label", "min", "max"));
  }

  static Object veil() {
    List<Object> perKind =
        Kinds.all().stream()
            .<Object>map(
                kind ->
                    Json.object(
                        "properties",
                        Json.object(
                            "kind",
                            Json.object("const", kind.id()),
                            "settings",
                            settings(kind.settings()))))
            .toList();
    Map<String, Object> veil =
        object(
            Json.object(
                "id", text(1, 40),
                "name", text(1, Veil.MAX_NAME),
                "kind", oneOf(Kinds.all().stream().map(VeilKind::id).toList()),
                "blend", oneOf(List.of(BlendMode.values()).stream().map(b -> b.id()).toList()),
                "opacity", Json.object("type", "number", "minimum", 0, "maximum", 1),
                "lifted", Json.object("type", "boolean"),
                "mask", mask(),
                "meantFor", Json.object("type", "string"),
                "settings", Json.object("type", "object")),
            List.of("id", "name", "kind", "blend", "opacity", "mask", "settings"));
    veil.put("oneOf", perKind);
    return veil;
  }

  /** Everywhere stands alone; by rule and brush on take rules of the sorts that there are. */
  private static Object mask() {
    Map<String, Object> plain = cover(Cover.EVERYWHERE);
    Map<String, Object> brushed = cover(Cover.BRUSH_ON);
    brushed.put("rules", listOf(rule(), 0, Mask.MAX_RULES));
    Map<String, Object> ruled = cover(Cover.BY_RULE);
    ruled.put("rules", listOf(rule(), 1, Mask.MAX_RULES));
    for (NumberSetting edge : Mask.EDGES) {
      List.of(plain, brushed, ruled).forEach(mask -> mask.put(edge.key(), setting(edge)));
    }
    Map<String, Object> as = cover(Cover.AS_VEIL);
    as.put("veil", text(1, 40));
    return Json.object(
        "oneOf",
        List.of(
            object(plain, List.of("cover")),
            object(brushed, List.of("cover")),
            object(ruled, List.of("cover", "rules")),
            object(as, List.of("cover", "veil"))));
  }

  private static Map<String, Object> cover(Cover cover) {
    return Json.object("cover", Json.object("const", cover.id()));
  }

  private static Object rule() {
    List<String> joins = List.of(Rule.Join.values()).stream().map(j -> j.id()).toList();
    List<Object> perKind =
        RuleKinds.all().stream()
            .<Object>map(
                kind ->
                    object(
                        Json.object(
                            "kind", Json.object("const", kind.id()),
                            "join", oneOf(joins),
                            "inverted", Json.object("type", "boolean"),
                            "settings", settings(kind.settings())),
                        List.of("kind", "settings")))
            .toList();
    return Json.object("oneOf", perKind);
  }

  private static Object settings(List<Setting<?>> settings) {
    Map<String, Object> properties = new LinkedHashMap<>();
    for (Setting<?> setting : settings) {
      properties.put(setting.key(), setting(setting));
    }
    return object(properties, List.of());
  }

  private static Object setting(Setting<?> setting) {
    return setting.accept(SETTING);
  }

  private static final SettingVisitor<Object> SETTING =
      new SettingVisitor<>() {
        @Override
        public Object number(NumberSetting n) {
          String unit = n.unit().isEmpty() ? "" : ", in " + n.unit();
          return Json.object(
              "description", n.label() + unit,
              "type", "number",
              "minimum", n.min(),
              "maximum", n.max(),
              "default", n.start());
        }

        @Override
        public Object curve(CurveSetting curve) {
          Object tone = Json.object("type", "number", "minimum", 0, "maximum", 1);
          return Json.object(
              "description",
              curve.label() + ": points, tone in and tone out",
              "type",
              "array",
              "minItems",
              CurveSetting.MIN_POINTS,
              "maxItems",
              CurveSetting.MAX_POINTS,
              "items",
              listOf(tone, 2, 2));
        }

        @Override
        public Object colours(ColoursSetting colours) {
          Map<String, Object> out =
              new LinkedHashMap<>(Json.object("description", colours.label()));
          out.putAll(listOf(path(ColoursSetting.PATTERN), 0, colours.most()));
          return out;
        }

        @Override
        public Object choice(ChoiceSetting choice) {
          return Json.object("description", choice.label(), "enum", choice.ids());
        }

        @Override
        public Object picture(PictureSetting picture) {
          Map<String, Object> out = new LinkedHashMap<>(path(PictureSetting.PATTERN));
          out.put("description", picture.label() + ": SHA-256 of a file in pictures/, or empty");
          return out;
        }
      };

  static String document(String title, Map<String, Object> schema) {
    Map<String, Object> out = Json.object("$schema", DRAFT, "title", title);
    out.putAll(schema);
    return Json.writePretty(out);
  }

  static Map<String, Object> object(Map<String, Object> properties, List<String> required) {
    Map<String, Object> out = Json.object("type", "object", "properties", properties);
    if (!required.isEmpty()) {
      out.put("required", required);
    }
    out.put("additionalProperties", false);
    return out;
  }

  static Map<String, Object> listOf(Object items, int min, int max) {
    return Json.object("type", "array", "items", items, "minItems", min, "maxItems", max);
  }

  static Object text(int min, int max) {
    return Json.object("type", "string", "minLength", min, "maxLength", max);
  }

  static Object words(Words of) {
    Map<String, Object> out = new LinkedHashMap<>(path(of.pattern()));
    out.put("maxLength", of.most());
    return out;
  }

  static Map<String, Object> path(String pattern) {
    return Json.object("type", "string", "pattern", pattern);
  }

  static Object oneOf(List<String> values) {
    return Json.object("enum", values);
  }
}
