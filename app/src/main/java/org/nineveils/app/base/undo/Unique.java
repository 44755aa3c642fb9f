package org.nineveils.app.base.undo;

import static java.util.stream.Collectors.joining;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * A constraint of uniqueness, read from the database itself. As there, a row with a null in one of
 * its columns keeps nothing out, and where it is for some rows only, others do not meet it.
 *
 * @param columns that no two rows may share
 * @param when the condition of a partial one; empty for all rows
 */
record Unique(List<String> columns, String when) {
  private static final Pattern WHERE =
      Pattern.compile("\\)\\s*where\\s+(.*)$", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);

  /** Those of a table, but for its primary key. */
  static List<Unique> of(JdbcClient db, String table) {
    record Index(String name, String sql) {}
    return db
        .sql(
            """
            select i.name, coalesce(m.sql, '') as sql from pragma_index_list(?) i
            left join sqlite_master m on m.type = 'index' and m.name = i.name
            where i."unique" = 1 and i.origin <> 'pk'""")
        .param(table)
        .query(Index.class)
        .list()
        .stream()
        .map(index -> new Unique(columns(db, index.name()), condition(index.sql())))
        .toList();
  }

  private static List<String> columns(JdbcClient db, String index) {
    return db.sql("select name from pragma_index_info(?) order by seqno")
        .param(index)
        .query(String.class)
        .list();
  }

  private static String condition(String sql) {
    Matcher where = WHERE.matcher(sql);
    return where.find() ? where.group(1) : "";
  }

  /** Whether another name would do. */
  boolean isName() {
    return columns.contains("name") || columns.contains("name_key");
  }

  /**
   * The key of another row that keeps one out, as in the journal.
   *
   * @param key of the row, which does not keep itself out
   * @param row all columns as they are to be
   */
  Optional<String> taker(
      JdbcClient db, JournalTables.Table table, List<Object> key, Map<String, Object> row) {
    if (columns.stream().map(row::get).anyMatch(Objects::isNull) || !isMet(db, row)) {
      return Optional.empty();
    }
    List<Object> values = new ArrayList<>(columns.stream().map(row::get).toList());
    values.addAll(key);
    String same = columns.stream().map(c -> c + " = ?").collect(joining(" and "));
    String itself = table.key().stream().map(k -> k + " = ?").collect(joining(" and "));
    return db.sql(
            "select json_array(%s) from %s where %s and (%s) and not (%s) limit 1"
                .formatted(
                    String.join(", ", table.key()),
                    table.name(),
                    same,
                    when.isEmpty() ? "true" : when,
                    itself))
        .params(values)
        .query(String.class)
        .optional();
  }

  /** Whether a row is one of those that this is for. */
  private boolean isMet(JdbcClient db, Map<String, Object> row) {
    if (when.isEmpty()) {
      return true;
    }
    String named = row.keySet().stream().map(c -> "? as " + c).collect(joining(", "));
    return db.sql("select exists (select 1 from (select %s) where %s)".formatted(named, when))
        .params(new ArrayList<>(row.values()))
        .query(Boolean.class)
        .single();
  }
}
