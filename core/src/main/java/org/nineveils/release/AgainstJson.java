package org.nineveils.release;

import java.util.List;
import java.util.Map;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.kit.Against;

/** The maker's own opposites in the manifest; left out of a section that goes with every other. */
final class AgainstJson {
  static final String NAME = "against";

  private AgainstJson() {}

  static void write(List<Against> against, Map<String, Object> section) {
    if (!against.isEmpty()) {
      section.put(
          NAME,
          against.stream()
              .map(a -> Json.object("section", a.section(), "asks", a.asks()))
              .toList());
    }
  }

  static List<Against> read(Fields section) {
    return section.has(NAME)
        ? section.objects(
            NAME,
            f -> new Against(f.only("section", "asks").whole("section"), f.flag("asks", false)))
        : List.of();
  }
}
