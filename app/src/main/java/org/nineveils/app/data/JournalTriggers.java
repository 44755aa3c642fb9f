package org.nineveils.app.data;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import org.springframework.beans.factory.InitializingBean;
import org.springframework.boot.flyway.autoconfigure.FlywayMigrationInitializer;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Makes the triggers of the {@link Journal} anew at every start, from the columns that the tables
 * have. A new table that undo should know is one line in {@link #TABLES}.
 *
 * <p>Columns are restored in groups, so that taking back an edit of an effect's veils does not also
 * take back its name, which belongs to another scope. {@code rev} is never restored but counted on.
 */
@Component
class JournalTriggers implements InitializingBean {
  /**
   * A table, its key, and the groups of columns that are restored together (none: all together).
   */
  private record Table(String name, List<String> key, List<List<String>> groups) {}

  private static final List<Table> TABLES =
      List.of(
          new Table("kit", List.of("id"), List.of()),
          new Table("section", List.of("id"), List.of()),
          new Table(
              "effect",
              List.of("id"),
              List.of(
                  List.of("kit_id", "section_id", "position", "name", "favourite"),
                  List.of("doc"))),
          new Table("photo", List.of("id"), List.of()),
          new Table("paint", List.of("effect_id", "photo_id"), List.of()),
          new Table("fitting", List.of("id"), List.of()),
          new Table("pin", List.of("id"), List.of()),
          new Table("swatch", List.of("id"), List.of()),
          new Table("collection", List.of("id"), List.of()),
          new Table("collection_kit", List.of("collection_id", "kit_id"), List.of()));

  private static final String RECORDING = "(select edit_id from current_edit) is not null";

  private final JdbcClient db;

  /** The initializer is asked for so that the tables exist. */
  JournalTriggers(JdbcClient db, FlywayMigrationInitializer migrated) {
    this.db = db;
  }

  @Override
  public void afterPropertiesSet() {
    for (Table table : TABLES) {
      List<String> columns =
          db.sql("select name from pragma_table_info(?)")
              .param(table.name())
              .query(String.class)
              .list();
      create(table, "insert", "after insert on " + table.name(), undoInsert(table));
      create(table, "delete", "after delete on " + table.name(), undoDelete(table, columns));
      List<List<String>> groups = table.groups();
      if (groups.isEmpty()) {
        List<String> all = new ArrayList<>(columns);
        all.removeAll(table.key());
        all.remove("rev");
        groups = List.of(all);
      }
      for (List<String> group : groups) {
        create(
            table,
            "update_" + group.get(0),
            "after update of %s on %s".formatted(String.join(", ", group), table.name()),
            undoUpdate(table, group, columns.contains("rev")));
      }
    }
  }

  private void create(Table table, String name, String when, String statement) {
    String trigger = "journal_%s_%s".formatted(table.name(), name);
    db.sql("drop trigger if exists " + trigger).update();
    db.sql(
            """
            create trigger %s %s when %s begin
              insert into edit_change (edit_id, statement)
              select edit_id, %s from current_edit;
            end"""
                .formatted(trigger, when, RECORDING, statement))
        .update();
  }

  private static String undoInsert(Table table) {
    return "'delete from %s where ' || %s".formatted(table.name(), match(table, "new"));
  }

  private static String undoDelete(Table table, List<String> columns) {
    String values =
        columns.stream()
            .map(c -> "quote(old." + c + ")")
            .collect(Collectors.joining(" || ', ' || "));
    return "'insert into %s (%s) values (' || %s || ')'"
        .formatted(table.name(), String.join(", ", columns), values);
  }

  private static String undoUpdate(Table table, List<String> group, boolean counted) {
    String sets =
        group.stream()
            .map(c -> "'" + c + " = ' || quote(old." + c + ")")
            .collect(Collectors.joining(" || ', ' || "));
    return "'update %s set ' || %s || '%s where ' || %s"
        .formatted(table.name(), sets, counted ? ", rev = rev + 1" : "", match(table, "old"));
  }

  private static String match(Table table, String row) {
    return table.key().stream()
        .map(k -> "'" + k + " = ' || quote(" + row + "." + k + ")")
        .collect(Collectors.joining(" || ' and ' || "));
  }
}
