package org.nineveils.app.base.undo;

import static java.util.stream.Collectors.joining;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.document.Json;
import org.nineveils.release.Checksums;
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
    return table.key().stream().map(k -> k + " = ?").collect(joining(" and "));
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

  /** Deletes the row where it holds no work; whether it did. */
  boolean deleteIdle() {
    return !table.idle().isEmpty()
        && db.sql("delete from %s where %s and (%s)".formatted(table.name(), match(), table.idle()))
                .params(key)
                .update()
            > 0;
  }

  void insert(Map<String, Object> image) {
    Map<String, Object> known = known(image);
    String names = String.join(", ", known.keySet());
    String marks = known.keySet().stream().map(c -> "?").collect(joining(", "));
    db.sql("insert into %s (%s) values (%s)".formatted(table.name(), names, marks))
        .params(new ArrayList<>(known.values()))
        .update();
  }

  /** How many rows changed: 1, or 0 where the row is gone. */
  int update(Map<String, Object> image, boolean counted) {
    Map<String, Object> known = known(image);
    String sets = known.keySet().stream().map(c -> c + " = ?").collect(joining(", "));
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

  /**
   * Digest of what the row holds now, but for what is never restored; of a group's columns where
   * one is given. Empty where the row is gone.
   */
  String digest(JournalTables.Group group) {
    List<String> own = group == null ? columns : table.columns(group, columns);
    String pairs = own.stream().map(c -> "'%1$s', %1$s".formatted(c)).collect(joining(", "));
    return db.sql("select json_object(%s) from %s where %s".formatted(pairs, table.name(), match()))
        .params(key)
        .query(String.class)
        .optional()
        .map(json -> digest(Json.read(json, "The journal").raw()))
        .orElse("");
  }

  /** Digest of an image, but for what is never restored. */
  static String digest(Map<String, Object> image) {
    Map<String, Object> rest = new LinkedHashMap<>(image);
    rest.keySet().removeAll(JournalTables.NEVER_RESTORED);
    return Checksums.sha256(Json.write(rest).getBytes(StandardCharsets.UTF_8));
  }

  /**
   * What keeps an image out.
   *
   * @param by key of the row that does, as in the journal
   */
  record Taken(Unique unique, String by) {}

  /** A constraint of uniqueness that another row keeps an image out by. */
  Optional<Taken> taken(Map<String, Object> image) {
    Map<String, Object> known = known(image);
    for (Unique unique : Unique.of(db, table.name())) {
      if (unique.columns().stream().noneMatch(known::containsKey)) {
        continue;
      }
      Map<String, Object> after = new LinkedHashMap<>(known);
      columns.stream().filter(c -> !known.containsKey(c)).forEach(c -> after.put(c, now(c)));
      Optional<String> taker = unique.taker(db, table, key, after);
      if (taker.isPresent()) {
        return taker.map(by -> new Taken(unique, by));
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
}
