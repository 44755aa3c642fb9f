package org.nineveils.release;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.document.Json;
import org.nineveils.name.Names;
import org.nineveils.proof.Limits;
import org.nineveils.proof.measure.Measure;
import org.nineveils.proof.measure.Measures;
import org.nineveils.release.signing.Signed;

/** JSON Schemas (draft 2020-12) of a release as a whole: its manifest and its signature. */
public final class ReleaseSchema {
  private static final String VERSION = "^[0-9]{1,4}(\\.[0-9]{1,4}){0,2}(-[a-z0-9]{1,12})?$";

  private ReleaseSchema() {}

  /** Schema of the manifest. */
  @SuppressWarnings("unchecked") // properties are a map
  public static String manifest() {
    Object effect =
        FormatSchema.object(
            Json.object(
                "name", FormatSchema.text(1, Names.MAX),
                "file", FormatSchema.path("^effects/.+\\.json$"),
                "note", FormatSchema.path("^notes/.+\\.txt$"),
                "before", FormatSchema.path("^previews/.+\\.jpg$"),
                "after", FormatSchema.path("^previews/.+\\.jpg$")),
            List.of("name", "file"));
    Map<String, Object> section = FormatSchema.section(effect);
    ((Map<String, Object>) section.get("properties")).put(ReleaseWriter.LIMITS, limits());
    Object kit = FormatSchema.kit(section);
    Map<String, Object> schema =
        FormatSchema.object(
            Json.object(
                "format",
                Json.object("const", ReleaseWriter.FORMAT),
                "formatVersion",
                Json.object("const", ReleaseWriter.FORMAT_VERSION),
                "name",
                FormatSchema.text(1, Names.MAX),
                "version",
                FormatSchema.path(VERSION),
                "makersMark",
                FormatSchema.words(Words.MAKERS_MARK),
                "edition",
                Json.object("type", "integer", "minimum", 1),
                "licence",
                FormatSchema.words(Words.LICENCE),
                "notes",
                FormatSchema.words(Words.NOTES),
                "kits",
                FormatSchema.listOf(kit, 1, 99),
                "pictures",
                FormatSchema.listOf(FormatSchema.path(Packed.PICTURE_PATH), 0, 999),
                "cover",
                FormatSchema.object(
                    Json.object(
                        "before", FormatSchema.path("^cover/.+\\.jpg$"),
                        "after", FormatSchema.path("^cover/.+\\.jpg$")),
                    List.of("before", "after")),
                "news",
                FormatSchema.object(
                    Json.object(
                        "since", FormatSchema.path(VERSION),
                        "lines",
                            FormatSchema.listOf(
                                FormatSchema.words(Words.NEWS), 0, Words.MOST_NEWS)),
                    List.of("since", "lines")),
                ReleaseWriter.MAY_HAND_OUT,
                Json.object("type", "boolean")),
            List.of(
                "format",
                "formatVersion",
                "name",
                "version",
                "makersMark",
                "edition",
                "licence",
                "notes",
                "kits"));
    return FormatSchema.document("Manifest of a Nine Veils release", schema);
  }

  /** By id of a measure its bound, or that it is not judged. */
  private static Object limits() {
    Map<String, Object> bounds = new LinkedHashMap<>();
    for (Measure m : Measures.all()) {
      Object bound = Json.object("type", "number", "minimum", 0, "maximum", Limits.MOST);
      bounds.put(m.id(), Json.object("anyOf", List.of(bound, Json.object("const", "off"))));
    }
    return FormatSchema.object(bounds, List.of());
  }

  /** Schema of {@value Signed#FILE}. */
  public static String signature() {
    Map<String, Object> schema =
        FormatSchema.object(
            Json.object(
                "algorithm", Json.object("const", "Ed25519"),
                "of", Json.object("const", Checksums.FILE),
                "key", FormatSchema.path("^[0-9a-f]{64}$"),
                "signature", FormatSchema.path("^[0-9a-f]{128}$")),
            List.of("algorithm", "of", "key", "signature"));
    return FormatSchema.document("Signature of a Nine Veils release", schema);
  }
}
