package org.nineveils.app.base.undo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationInitializer;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Makes the triggers of the {@link Journal} from the columns that the tables have. Only what
 * differs from what is there is made anew, so that a start on a full disk writes nothing.
 */
@Component
class JournalTriggers implements InitializingBean {
  private static final String PREFIX = "journal_";

  private final JdbcClient db;

  /** The initializer is asked for so that the tables exist. */
  JournalTriggers(JdbcClient db, FlywayMigrationInitializer migrated) {
    this.db = db;
  }

  @Override
  public void afterPropertiesSet() {
    Map<String, String> wanted = new HashMap<>();
    for (JournalTables.Table table : JournalTables.ALL) {
      triggers(table, columns(db, table.name()), wanted);
    }
    Map<String, String> there = new HashMap<>();
    db.sql("select name, sql from sqlite_master where type = 'trigger'")
        .query((row, n) -> there.put(row.getString("name"), row.getString("sql")))
        .list();
    for (String name : there.keySet()) {
      if (name.startsWith(PREFIX) && !there.get(name).equals(wanted.get(name))) {
        db.sql("drop trigger " + name).update();
      }
    }
    wanted.forEach(
        (name, sql) -> {
          if (!sql.equals(there.get(name))) {
            db.sql(sql).update();
          }
        });
  }

  /** The columns of a table as it is now. */
  static List<String> columns(JdbcClient db, String table) {
    return db.sql("select name from pragma_table_info(?)").param(table).query(String.class).list();
  }

  private static void triggers(
      JournalTables.Table table, List<String> columns, Map<String, String> to) {
    add(to, table, "insert", "insert", change("'insert'", table, "new", "", "null"), "");
    String image = image(columns);
    add(to, table, "delete", "delete", change("'delete'", table, "old", "", image), "");
    for (JournalTables.Group group : table.groups()) {
      List<String> own = table.columns(group, columns);
      List<String> all = new ArrayList<>(own);
      String changed =
          all.stream()
              .map(c -> "old.%1$s is not new.%1$s".formatted(c))
              .collect(Collectors.joining(" or "));
      // The oldest image of a row in an edit is the one that takes it back.
      String known =
          """
          and not exists (select 1 from edit_change c, current_edit e where c.edit_id = e.edit_id
            and c.tbl = '%s' and c.row_key = %s and (c.op = 'insert' or c.cols = '%s'))"""
              .formatted(table.name(), key(table, "old"), group.id());
      add(
          to,
          table,
          "update_" + group.id(),
          "update of " + String.join(", ", own),
          change("'update'", table, "old", group.id(), image(own)),
          "and (%s) %s".formatted(changed, known));
    }
  }

  private static void add(
      Map<String, String> to,
      JournalTables.Table table,
      String name,
      String when,
      String change,
      String besides) {
    String trigger = PREFIX + table.name() + "_" + name;
    to.put(
        trigger,
        """
        CREATE TRIGGER %s after %s on %s
        when (select edit_id from current_edit) is not null %s
        begin
          insert into edit_change (edit_id, op, tbl, row_key, cols, old)
          select edit_id, %s from current_edit;
        end"""
            .formatted(trigger, when, table.name(), besides, change));
  }

  private static String change(
      String op, JournalTables.Table table, String row, String cols, String image) {
    return "%s, '%s', %s, '%s', %s".formatted(op, table.name(), key(table, row), cols, image);
  }

  private static String key(JournalTables.Table table, String row) {
    return table.key().stream()
        .map(k -> row + "." + k)
        .collect(Collectors.joining(", ", "json_array(", ")"));
  }

  private static String image(List<String> columns) {
    return columns.stream()
        .map(c -> "'%1$s', old.%1$s".formatted(c))
        .collect(Collectors.joining(", ", "json_object(", ")"));
  }
}
