package org.nineveils.document;

import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import org.nineveils.refusal.InputLimits;
import tools.jackson.core.JacksonException;
import tools.jackson.core.StreamReadConstraints;
import tools.jackson.core.StreamReadFeature;
import tools.jackson.core.json.JsonFactory;
import tools.jackson.core.util.DefaultIndenter;
import tools.jackson.core.util.DefaultPrettyPrinter;
import tools.jackson.databind.DeserializationFeature;
import tools.jackson.databind.json.JsonMapper;

/** Text to maps and lists and back, with limits on size and nesting. */
public final class Json {
  private static final JsonMapper MAPPER =
      JsonMapper.builder(
              JsonFactory.builder()
                  .enable(StreamReadFeature.STRICT_DUPLICATE_DETECTION)
                  .streamReadConstraints(
                      StreamReadConstraints.builder()
                          .maxNestingDepth(InputLimits.JSON_NESTING)
                          .maxDocumentLength(InputLimits.JSON_CHARACTERS)
                          .build())
                  .build())
          .enable(DeserializationFeature.FAIL_ON_TRAILING_TOKENS)
          .build();

  /** Line ends are fixed, so that a file has the same bytes on every system. */
  private static final DefaultPrettyPrinter PRETTY =
      new DefaultPrettyPrinter().withObjectIndenter(new DefaultIndenter("  ", "\n"));

  private Json() {}

  /**
   * Reads an object.
   *
   * @param text JSON
   * @param name how to call the document in messages
   * @throws DocumentException if the text is not one JSON object
   */
  public static Fields read(String text, String name) {
    try {
      return Fields.of(MAPPER.readValue(text, Object.class), name);
    } catch (JacksonException e) {
      var at = e.getLocation();
      throw new DocumentException(
          "%s is not valid JSON%s."
              .formatted(
                  name,
                  at == null
                      ? ""
                      : String.format(
                          Locale.ROOT, " (line %d, column %d)", at.getLineNr(), at.getColumnNr())),
          e);
    }
  }

  /** Compact text, for storing and sending. */
  public static String write(Object value) {
    return MAPPER.writeValueAsString(value);
  }

  /** Indented text, for files that people open. */
  public static String writePretty(Object value) {
    return MAPPER.writer().with(PRETTY).writeValueAsString(value) + "\n";
  }

  /** An object with fields in the order given: key, value, key, value … */
  public static Map<String, Object> object(Object... pairs) {
    Map<String, Object> map = new LinkedHashMap<>();
    for (int i = 0; i < pairs.length; i += 2) {
      map.put((String) pairs[i], pairs[i + 1]);
    }
    return map;
  }
}
