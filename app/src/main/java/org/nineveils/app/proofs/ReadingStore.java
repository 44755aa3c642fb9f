package org.nineveils.app.proofs;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.document.Json;
import org.nineveils.document.ReadingsJson;
import org.nineveils.proof.Readings;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What was measured, by name. */
@Repository
class ReadingStore {
  /** Names in one query; SQLite takes 999 parameters in its oldest builds. */
  private static final int AT_ONCE = 500;

  private final JdbcClient db;

  ReadingStore(JdbcClient db) {
    this.db = db;
  }

  private record Row(String key, String doc) {}

  /** Those of some names that are there. */
  Map<String, Readings> find(Collection<String> keys) {
    Map<String, Readings> out = new HashMap<>();
    List<String> all = List.copyOf(keys);
    for (int from = 0; from < all.size(); from += AT_ONCE) {
      List<String> some = all.subList(from, Math.min(all.size(), from + AT_ONCE));
      db.sql("select key, doc from reading where key in (:keys)")
          .param("keys", some)
          .query(Row.class)
          .list()
          .forEach(
              row -> out.put(row.key(), ReadingsJson.parse(Json.read(row.doc(), "The readings"))));
    }
    return out;
  }

  void put(String key, Readings readings) {
    db.sql("insert into reading (key, doc) values (?, ?) on conflict (key) do nothing")
        .params(key, Json.write(ReadingsJson.format(readings)))
        .update();
  }
}
