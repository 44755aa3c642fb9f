package org.nineveils.app.proof.measuring;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Consumer;
import org.nineveils.document.Json;
import org.nineveils.document.ReadingsJson;
import org.nineveils.proof.Readings;
import org.nineveils.proof.measure.Samples;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What was measured, by name. */
@Repository
class ReadingStore {
  /** Names in one query; SQLite takes 999 parameters in its oldest builds. */
  private static final int AT_ONCE = 500;

  private final JdbcClient db;
  private final AtomicLong written = new AtomicLong();

  ReadingStore(JdbcClient db) {
    this.db = db;
  }

  private record Row(String key, String doc) {}

  /** Colours of those of some names that are there. */
  Map<String, Samples> colours(Collection<String> keys) {
    Map<String, Samples> out = new HashMap<>();
    inParts(
        keys,
        some ->
            db.sql("select key, colours from reading where key in (:keys)")
                .param("keys", some)
                .query(
                    row -> {
                      out.put(row.getString("key"), Samples.read(row.getBytes("colours")));
                    }));
    return out;
  }

  /** Those of some names that are there. */
  Map<String, Readings> find(Collection<String> keys) {
    Map<String, Readings> out = new HashMap<>();
    inParts(
        keys,
        some ->
            db.sql("select key, doc from reading where key in (:keys)")
                .param("keys", some)
                .query(Row.class)
                .list()
                .forEach(
                    row ->
                        out.put(
                            row.key(), ReadingsJson.parse(Json.read(row.doc(), "The readings")))));
    return out;
  }

  private static void inParts(Collection<String> keys, Consumer<List<String>> ask) {
    List<String> all = List.copyOf(keys);
    for (int from = 0; from < all.size(); from += AT_ONCE) {
      ask.accept(all.subList(from, Math.min(all.size(), from + AT_ONCE)));
    }
  }

  /** How many were written since the start: what was worked out of them before is stale then. */
  long written() {
    return written.get();
  }

  void put(String key, Readings readings, Samples colours) {
    db.sql("insert into reading (key, doc, colours) values (?, ?, ?) on conflict (key) do nothing")
        .params(key, Json.write(ReadingsJson.format(readings)), colours.bytes())
        .update();
    written.incrementAndGet();
  }
}
