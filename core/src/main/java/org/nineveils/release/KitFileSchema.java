package org.nineveils.release;

import static org.nineveils.release.FormatSchema.document;
import static org.nineveils.release.FormatSchema.kit;
import static org.nineveils.release.FormatSchema.listOf;
import static org.nineveils.release.FormatSchema.object;
import static org.nineveils.release.FormatSchema.path;
import static org.nineveils.release.FormatSchema.section;
import static org.nineveils.release.FormatSchema.text;
import static org.nineveils.release.FormatSchema.veil;
import static org.nineveils.release.FormatSchema.words;

import java.util.List;
import java.util.Map;
import org.nineveils.document.Json;
import org.nineveils.name.Names;

/** JSON Schema (draft 2020-12) of the manifest of a kit file; effects are as in a release. */
public final class KitFileSchema {
  private KitFileSchema() {}

  /** Schema of the manifest of a kit file. */
  public static String manifest() {
    Map<String, Object> effect =
        Json.object("name", text(1, Names.MAX), "file", path("^effects/.+\\.json$"));
    effect.putAll(OwnJson.schema());
    effect.put("variantOf", text(0, Names.MAX));
    Map<String, Object> section = section(object(effect, List.copyOf(effect.keySet())));
    fields(section).put("mark", OwnJson.mark());
    Object swatch =
        object(
            Json.object(
                "mark", words(Words.MAKERS_MARK), "name", text(1, Names.MAX), "veil", veil()),
            List.of("mark", "name", "veil"));
    Map<String, Object> schema =
        object(
            Json.object(
                "format", Json.object("const", KitFiles.FORMAT),
                "formatVersion", Json.object("const", KitFiles.FORMAT_VERSION),
                "edition", Json.object("type", "integer", "minimum", 1),
                "kits", listOf(kit(section), 1, 99),
                "swatches", listOf(swatch, 0, 999),
                "pictures", listOf(path(Packed.PICTURE_PATH), 0, 999)),
            List.of("format", "formatVersion", "edition", "kits", "swatches"));
    return document("Manifest of a Nine Veils kit file", schema);
  }

  @SuppressWarnings("unchecked") // as object() made it
  private static Map<String, Object> fields(Map<String, Object> object) {
    return (Map<String, Object>) object.get("properties");
  }
}
