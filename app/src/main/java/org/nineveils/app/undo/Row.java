package org.nineveils.app.undo;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.nineveils.document.Json;
import org.springframework.jdbc.core.simple.JdbcClient;

/** One row of a recorded table, by its key: deleted, put back, changed, as the table is now. */
final class Row {
  private final JdbcClient db;
  private final JournalTables.Table table;
  private final List<Object> key;
  private final List<String> columns;

  Row(JdbcClient db, JournalTables.Table table, String rowKey) {
    this.db = db;
    this.table = table;
    this.key = List.copyOf(Json.read("{\"key\": " + rowKey + "}", "The journal").list("key"));
    this.columns = JournalTriggers.columns(db, table.name());
  }

  JournalTables.Table table() {
    return table;
  }

  private String match() {
    return table.key().stream().map(k -> k + " = ?").collect(Collectors.joining(" and "));
  }

  boolean exists() {
    return db.sql("select exists (select 1 from %s where %s)".formatted(table.name(), match()))
        .params(key)
        .query(Boolean.class)
        .single();
  }

  int delete() {
    return db.sql("delete from %s where %s".formatted(table.name(), match())).params(key).update();
  }

  void insert(Map<String, Object> image) {
    Map<String, Object> known = known(image);
    String names = String.join(", ", known.keySet());
    String marks = known.keySet().stream().map(c -> "?").collect(Collectors.joining(", "));
    db.sql("insert into %s (%s) values (%s)".formatted(table.name(), names, marks))
        .params(new ArrayList<>(known.values()))
        .update();
  }

  /** How many rows changed: 1, or 0 where the row is gone. */
  int update(Map<String, Object> image, boolean counted) {
    Map<String, Object> known = known(image);
    String sets = known.keySet().stream().map(c -> c + " = ?").collect(Collectors.joining(", "));
    List<Object> values = new ArrayList<>(known.values());
    String rev = counted ? ", rev = rev + 1" : "";
    if (counted && columns.contains("token")) {
      rev += ", token = ?";
      values.add(Asked.name());
    }
    values.addAll(key);
    return db.sql("update %s set %s%s where %s".formatted(table.name(), sets, rev, match()))
        .params(values)
        .update();
  }

  /** Columns of an image that the table still has. */
  private Map<String, Object> known(Map<String, Object> image) {
    Map<String, Object> out = new LinkedHashMap<>(image);
    out.keySet().retainAll(columns);
    return out;
  }

  /** A constraint of uniqueness that another row keeps an image out by. */
  Optional<Unique> taken(Map<String, Object> image) {
    Map<String, Object> known = known(image);
    for (Unique unique : uniques()) {
      if (unique.columns().stream().noneMatch(known::containsKey)) {
        continue;
      }
      List<Object> values = new ArrayList<>();
      List<String> same = new ArrayList<>();
      for (String column : unique.columns()) {
        same.add("%s is ?".formatted(column));
        values.add(known.containsKey(column) ? known.get(column) : now(column));
      }
      values.addAll(key);
      boolean found =
          db.sql(
                  "select exists (select 1 from %s where %s and not (%s))"
                      .formatted(table.name(), String.join(" and ", same), match()))
              .params(values)
              .query(Boolean.class)
              .single();
      if (found) {
        return Optional.of(unique);
      }
    }
    return Optional.empty();
  }

  private Object now(String column) {
    return db
        .sql("select %s from %s where %s".formatted(column, table.name(), match()))
        .params(key)
        .query()
        .singleColumn()
        .stream()
        .findFirst()
        .orElse(null);
  }

  private List<Unique> uniques() {
    return db
        .sql("select name from pragma_index_list(?) where \"unique\" = 1 and origin <> 'pk'")
        .param(table.name())
        .query(String.class)
        .list()
        .stream()
        .map(
            index ->
                new Unique(
                    db.sql("select name from pragma_index_info(?) order by seqno")
                        .param(index)
                        .query(String.class)
                        .list()))
        .toList();
  }
}
