package org.nineveils.release.since;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.document.Json;

/** Changes between releases as pages take them. */
public final class ChangesJson {
  private ChangesJson() {}

  /** In their order; “old” and “now” say of which sides there are pictures. */
  public static List<Map<String, Object>> format(List<Change> changes) {
    return changes.stream().map(ChangesJson::one).toList();
  }

  private static Map<String, Object> one(Change c) {
    return Json.object(
        "sort", c.sort().name().toLowerCase(Locale.ROOT).replace('_', '-'),
        "word", c.sort().word(),
        "where", c.where(),
        "name", c.name(),
        "words", c.words(),
        "old", c.old() != null && c.now() != null,
        "now", c.now() != null);
  }
}
