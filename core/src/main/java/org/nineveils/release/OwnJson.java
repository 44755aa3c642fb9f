package org.nineveils.release;

import static org.nineveils.release.FormatSchema.listOf;
import static org.nineveils.release.FormatSchema.oneOf;
import static org.nineveils.release.FormatSchema.text;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.MakersOwn;
import org.nineveils.kit.Mark;
import org.nineveils.veil.Effect;

/** What a maker has noted of an effect, as fields of its entry in a kit file. */
final class OwnJson {
  /** Names of the fields. */
  static final List<String> NAMES = List.copyOf(write(MakersOwn.NONE).keySet());

  private OwnJson() {}

  /** Names of the fields, each with what a schema says of it. */
  static Map<String, Object> schema() {
    return Json.object(
        "tags", listOf(text(1, Effect.MAX_TAG), 0, Effect.MAX_TAGS),
        "favourite", Json.object("type", "boolean"),
        "mark", mark());
  }

  /** A mark, or none, as a schema says it. */
  static Object mark() {
    return oneOf(Stream.concat(Stream.of(""), Stream.of(Mark.values()).map(Mark::id)).toList());
  }

  static Map<String, Object> write(MakersOwn own) {
    return Json.object(
        "tags", own.tags(),
        "favourite", own.favourite(),
        "mark", own.mark().map(Mark::id).orElse(""));
  }

  static MakersOwn read(Fields f) {
    return new MakersOwn(f.texts("tags"), f.flag("favourite", false), Mark.ofId(f.text("mark")));
  }
}
