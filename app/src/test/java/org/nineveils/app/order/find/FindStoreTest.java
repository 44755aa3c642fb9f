package org.nineveils.app.order.find;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Database;
import org.nineveils.kit.Query;
import org.nineveils.name.Names;

class FindStoreTest {
  private static final Query.Known NOTHING =
      new Query.Known(List.of(), List.of(), java.util.Map.of(), List.of());

  @TempDir Path folder;

  /** “Straße” was not found by its own name: what was typed was folded, what was kept was not. */
  @Test
  void aNameIsFoundAsItIsWrittenAndAsItIsCompared() {
    try (Database database = new Database(folder)) {
      String[] names = {"Straße", "Große Wäsche", "Istanbul", "Σίσυφος", "Milk linen", "Linen"};
      database.client().sql("insert into kit (id, name, name_key) values (1, 'K', 'k')").update();
      database
          .client()
          .sql(
              "insert into section (id, kit_id, number, name, name_key, rule) values (1, 1, 1, 'S', 's', 'stack-freely')")
          .update();
      for (int i = 0; i < names.length; i++) {
        String doc = i == 4 ? "{\"note\": \"auf die Straße\"}" : "{}";
        database
            .client()
            .sql(
                "insert into effect (id, kit_id, section_id, position, name, name_key, doc) values (?, 1, 1, 1, ?, ?, ?)")
            .params(i + 1, names[i], Names.key(names[i]), doc)
            .update();
      }
      FindStore store = new FindStore(database.client());
      for (String typed : new String[] {"Straße", "strasse", "STRASSE", "straß"}) {
        assertThat(store.effects(Query.parse(typed, NOTHING).words()))
            .as(typed)
            .startsWith(1L)
            .contains(5L);
      }
      for (int i = 0; i < names.length; i++) {
        assertThat(store.effects(Query.parse(names[i], NOTHING).words()))
            .as(names[i])
            .contains((long) (i + 1));
      }
      assertThat(store.effects(Query.parse("grosse wasche", NOTHING).words())).containsExactly(2L);
      assertThat(store.effects(Query.parse("linen", NOTHING).words()))
          .as("the best first: all of a short name")
          .startsWith(6L);
      assertThat(store.effects(Query.parse("a\"b OR c*", NOTHING).words())).isEmpty();
    }
  }
}
