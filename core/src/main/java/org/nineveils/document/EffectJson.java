package org.nineveils.document;

import java.util.List;
import java.util.Map;
import org.nineveils.blend.BlendMode;
import org.nineveils.catalogue.Kinds;
import org.nineveils.setting.SettingValues;
import org.nineveils.veil.Dial;
import org.nineveils.veil.Effect;
import org.nineveils.veil.Veil;
import org.nineveils.veil.VeilKind;

/** Effects as JSON; the fields are described in {@code docs/format.md}. */
public final class EffectJson {
  private EffectJson() {}

  /** The effect as JSON takes it. */
  public static Map<String, Object> format(Effect effect) {
    Map<String, Object> out =
        Json.object(
            "edition",
            effect.edition(),
            "note",
            effect.note(),
            "veils",
            effect.veils().stream().map(EffectJson::formatVeil).toList(),
            "dials",
            effect.dials().stream().map(EffectJson::formatDial).toList());
    if (effect.start() < 1) {
      out.put("start", effect.start());
    }
    if (!effect.madeFor().isEmpty()) {
      out.put("madeFor", effect.madeFor());
    }
    return out;
  }

  static Map<String, Object> formatDial(Dial dial) {
    return Json.object(
        "veil", dial.veil(),
        "key", dial.key(),
        "label", dial.label(),
        "min", dial.min(),
        "max", dial.max(),
        "heading", dial.heading());
  }

  /** One veil as JSON takes it. */
  public static Map<String, Object> formatVeil(Veil veil) {
    return Json.object(
        "id", veil.id(),
        "name", veil.name(),
        "kind", veil.kind().id(),
        "blend", veil.blend().id(),
        "opacity", veil.opacity(),
        "lifted", veil.lifted(),
        "mask", MaskJson.format(veil.mask()),
        "meantFor", veil.meantFor(),
        "settings", veil.settings().format());
  }

  /**
   * Reads an effect.
   *
   * @param fields the document; fields that are not an effect's must have been taken out
   * @throws DocumentException naming the place and the fault
   */
  public static Effect parse(Fields fields) {
    fields.only("edition", "note", "veils", "dials", "start", "madeFor");
    int edition = fields.whole("edition");
    String note = fields.text("note", "");
    // The edition first: a newer one may hold kinds that this build cannot know.
    fields.build(() -> new Effect(List.of(), note, edition));
    List<Veil> veils = fields.objects("veils", EffectJson::parseVeil);
    List<Dial> dials =
        fields.has("dials") ? fields.objects("dials", EffectJson::parseDial) : List.of();
    double start = fields.has("start") ? fields.number("start") : 1;
    List<String> tags = fields.has("madeFor") ? fields.texts("madeFor") : List.of();
    return fields.build(() -> new Effect(veils, note, edition, dials, start, tags));
  }

  private static Dial parseDial(Fields f) {
    f.only("veil", "key", "label", "min", "max", "heading");
    return f.build(
        () ->
            new Dial(
                f.text("veil"),
                f.text("key"),
                f.text("label"),
                f.number("min"),
                f.number("max"),
                f.text("heading", "")));
  }

  /** Reads one veil. */
  public static Veil parseVeil(Fields f) {
    f.only("id", "name", "kind", "blend", "opacity", "lifted", "mask", "meantFor", "settings");
    return f.build(
        () -> {
          VeilKind kind = Kinds.ofId(f.text("kind"));
          return new Veil(
              f.text("id"),
              f.text("name"),
              kind,
              SettingValues.parse(kind.settings(), f.needed("settings").raw()),
              BlendMode.ofId(f.text("blend")),
              f.number("opacity"),
              f.flag("lifted", false),
              MaskJson.parse(f.object("mask")),
              f.text("meantFor", ""));
        });
  }
}
