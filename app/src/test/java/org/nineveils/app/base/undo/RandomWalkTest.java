package org.nineveils.app.base.undo;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.nineveils.app.testing.Database;
import org.springframework.dao.DataAccessException;

/**
 * Whatever rows of whatever recorded tables are made, changed and removed, in whatever scopes:
 * every step can be taken back and done again, and all tables are as they were. The tables, their
 * keys and constraints are read from the database.
 */
class RandomWalkTest {
  private static final List<String> SCOPES = List.of("kits", "kit:1", "kit:2", "effect:1", "desk");

  /** Steps of a round: no scope lets any go. */
  private static final int ROUND = 150;

  @TempDir Path folder;
  private Database database;
  private Journal journal;
  private Random random;

  private record Column(String name, String type, boolean needed) {}

  private record Parent(String from, String table) {}

  private final Map<String, List<Column>> columns = new HashMap<>();
  private final Map<String, List<Parent>> parents = new HashMap<>();

  @Test
  void everyStepIsTakenBackAndDoneAgainInAllTables() {
    int steps = Boolean.getBoolean("nineveils.long") ? 5000 : 300;
    try (Database opened = new Database(folder)) {
      database = opened;
      journal = TestJournal.on(database);
      for (int round = 0; round * ROUND < steps; round++) {
        random = new Random(round);
        straight(round);
        crossed(round);
        journal.forgetAll();
      }
    }
  }

  /** All back and all again, the last one first, whichever scope it is in. */
  private void straight(int round) {
    Map<String, List<String>> start = tables();
    for (int i = 0; i < ROUND; i++) {
      edit(i);
    }
    Map<String, List<String>> end = tables();
    assertThat(end).isNotEqualTo(start);
    while (step(false)) {}
    assertThat(tables()).as("taken back, round %d", round).isEqualTo(start);
    while (step(true)) {}
    assertThat(tables()).as("done again, round %d", round).isEqualTo(end);
  }

  private boolean step(boolean redo) {
    Comparator<Map.Entry<Long, String>> order = Map.Entry.comparingByKey();
    Map<Long, String> next = new LinkedHashMap<>();
    for (String scope : SCOPES) {
      Journal.Possible possible = journal.possible(scope);
      Edit edit = redo ? possible.redo() : possible.undo();
      if (edit != null) {
        next.put(edit.id(), scope);
      }
    }
    Optional<Map.Entry<Long, String>> found =
        next.entrySet().stream().min(redo ? order : order.reversed());
    found.ifPresent(
        e -> {
          int asked = journal.possible(e.getValue()).aside().size();
          assertThat(asked).isZero();
          journal.step(e.getValue(), Steps.last(redo)); // throws where anything stands in the way
        });
    return found.isPresent();
  }

  /**
   * Here and there, back and again: what stands in the way is met by its first offer, in few steps.
   */
  private void crossed(int round) {
    for (int i = 0; i < ROUND; i++) {
      String scope = SCOPES.get(random.nextInt(SCOPES.size()));
      switch (random.nextInt(4)) {
        case 0 -> edit(i);
        case 1 -> answered(scope, true, round);
        default -> answered(scope, false, round);
      }
    }
    assertThat(database.client().sql("select * from pragma_foreign_key_check").query().listOfRows())
        .isEmpty();
    assertThat(
            database.client().sql("select count(*) from effect_text").query(Integer.class).single())
        .isEqualTo(rows("effect").size());
  }

  private void answered(String scope, boolean redo, int round) {
    Steps steps = Steps.last(redo);
    for (int asked = 0; asked < 40; asked++) {
      Map<String, List<String>> before = tables();
      try {
        journal.step(scope, steps);
        return;
      } catch (Obstacle obstacle) {
        assertThat(tables()).as(obstacle.getMessage()).isEqualTo(before);
        steps = with(steps, obstacle.offers().get(0).query());
      }
    }
    throw new AssertionError(
        "Round %d: asked without end in %s: %s".formatted(round, scope, steps));
  }

  private static Steps with(Steps s, String query) {
    String value = query.substring(query.indexOf('=') + 1);
    return switch (query.substring(0, query.indexOf('='))) {
      case "first" ->
          new Steps(
              s.redo(),
              null,
              Arrays.stream(value.split(",")).map(Long::valueOf).toList(),
              s.rename(),
              s.sure(),
              s.pass());
      case "rename" -> new Steps(s.redo(), null, s.first(), true, s.sure(), s.pass());
      case "sure" -> new Steps(s.redo(), null, s.first(), s.rename(), true, s.pass());
      default -> new Steps(s.redo(), null, s.first(), s.rename(), s.sure(), true);
    };
  }

  private void edit(int number) {
    Set<String> scopes = new LinkedHashSet<>();
    scopes.add(SCOPES.get(random.nextInt(SCOPES.size())));
    if (random.nextInt(4) == 0) {
      scopes.add(SCOPES.get(random.nextInt(SCOPES.size())));
    }
    String gesture = random.nextInt(5) == 0 ? "hand " + number / 4 : "";
    String label = gesture.isEmpty() ? "edit " + number : gesture;
    try {
      journal.edit(
          scopes,
          label,
          gesture,
          () -> {
            int statements = 1 + random.nextInt(3);
            for (int i = 0; i < statements; i++) {
              change();
            }
            return null;
          });
    } catch (DataAccessException refused) {
      // a constraint: nothing was changed
    }
  }

  private void change() {
    String table = JournalTables.ALL.get(random.nextInt(JournalTables.ALL.size())).name();
    List<String> rows = rows(table);
    int what = random.nextInt(10);
    if (what < 6 || rows.isEmpty()) {
      insert(table);
    } else if (what < 9) {
      update(table, rows.get(random.nextInt(rows.size())));
    } else {
      String row = rows.get(random.nextInt(rows.size()));
      database.client().sql("delete from %s where rowid = ?".formatted(table)).param(row).update();
    }
  }

  private List<String> rows(String table) {
    return database
        .client()
        .sql("select rowid from %s order by rowid".formatted(table))
        .query(String.class)
        .list();
  }

  private void insert(String table) {
    Map<String, Object> values = new LinkedHashMap<>();
    columns(table).forEach(c -> values.put(c.name(), value(table, c)));
    String marks = String.join(", ", values.keySet().stream().map(v -> "?").toList());
    database
        .client()
        .sql(
            "insert into %s (%s) values (%s)"
                .formatted(table, String.join(", ", values.keySet()), marks))
        .params(new ArrayList<>(values.values()))
        .update();
  }

  private void update(String table, String row) {
    List<Column> all = columns(table);
    Column column = all.get(random.nextInt(all.size()));
    List<Object> values = new ArrayList<>();
    values.add(value(table, column));
    values.add(row);
    database
        .client()
        .sql("update %s set %s = ? where rowid = ?".formatted(table, column.name()))
        .params(values)
        .update();
  }

  private List<Column> columns(String table) {
    return columns.computeIfAbsent(
        table,
        t ->
            database
                .client()
                .sql(
                    """
                    select name, type, "notnull" as needed from pragma_table_info(?)
                    where name not in ('id', 'rev', 'token')""")
                .param(t)
                .query(Column.class)
                .list());
  }

  private Object value(String table, Column column) {
    Optional<Parent> parent =
        parents
            .computeIfAbsent(
                table,
                t ->
                    database
                        .client()
                        .sql("select \"from\", \"table\" from pragma_foreign_key_list(?)")
                        .param(t)
                        .query((row, n) -> new Parent(row.getString(1), row.getString(2)))
                        .list())
            .stream()
            .filter(p -> p.from().equals(column.name()))
            .findFirst();
    if (!column.needed() && random.nextInt(2) == 0) {
      return null;
    }
    if (parent.isPresent()) {
      List<String> rows = rows(parent.get().table());
      return rows.isEmpty() ? null : rows.get(random.nextInt(rows.size()));
    }
    if (column.name().equals("side")) {
      return random.nextBoolean() ? "wall" : "desk";
    }
    int few = random.nextInt(12);
    return column.type().equalsIgnoreCase("integer")
        ? few
        : column.name().equals("doc") ? "{\"n\": %d}".formatted(few) : "name " + few;
  }

  /** All that the journal restores, row by row. */
  private Map<String, List<String>> tables() {
    Map<String, List<String>> out = new LinkedHashMap<>();
    for (JournalTables.Table table : JournalTables.ALL) {
      String values = String.join(", ", columns(table.name()).stream().map(Column::name).toList());
      out.put(
          table.name(),
          database
              .client()
              .sql("select json_array(%s) from %s order by 1".formatted(values, table.name()))
              .query(String.class)
              .list());
    }
    return out;
  }
}
