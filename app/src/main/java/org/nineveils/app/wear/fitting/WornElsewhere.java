package org.nineveils.app.wear.fitting;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.document.Json;
import org.springframework.stereotype.Component;

/** What photos wear of other wardrobes than the one that is shown. */
@Component
class WornElsewhere {
  private final FittingStore store;
  private final Wardrobes wardrobes;

  WornElsewhere(FittingStore store, Wardrobes wardrobes) {
    this.store = store;
    this.wardrobes = wardrobes;
  }

  /** Wardrobes but its own that its photo wears something of: fitting, wardrobe, title, worn. */
  List<Map<String, Object>> of(FittingRow row) {
    List<FittingStore.Elsewhere> rows = store.elsewhere(row);
    if (rows.isEmpty()) {
      return List.of();
    }
    Map<String, String> titles = new LinkedHashMap<>();
    wardrobes
        .choices(row.wardrobe().split(":", 2)[0])
        .forEach(c -> titles.put(c.wardrobe(), c.title()));
    return rows.stream()
        .filter(e -> titles.containsKey(e.wardrobe()))
        .map(
            e ->
                Json.object(
                    "id", e.id(),
                    "wardrobe", e.wardrobe(),
                    "title", titles.get(e.wardrobe()),
                    "worn", e.worn()))
        .toList();
  }
}
