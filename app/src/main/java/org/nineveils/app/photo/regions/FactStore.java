package org.nineveils.app.photo.regions;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.document.FactsJson;
import org.nineveils.document.Json;
import org.nineveils.proof.measure.PhotoFacts;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What photos are, as measured, by name. */
@Repository
class FactStore {
  private final JdbcClient db;

  FactStore(JdbcClient db) {
    this.db = db;
  }

  private record Row(String key, String doc) {}

  /** Those of some names that are there. */
  Map<String, PhotoFacts> find(List<String> keys) {
    Map<String, PhotoFacts> out = new HashMap<>();
    if (!keys.isEmpty()) {
      db.sql("select key, doc from photo_fact where key in (:keys)")
          .param("keys", keys)
          .query(Row.class)
          .list()
          .forEach(row -> out.put(row.key(), FactsJson.parse(Json.read(row.doc(), "Facts"))));
    }
    return out;
  }

  void put(String key, PhotoFacts facts) {
    db.sql("insert into photo_fact (key, doc) values (?, ?) on conflict (key) do nothing")
        .params(key, Json.write(FactsJson.format(facts)))
        .update();
  }
}
