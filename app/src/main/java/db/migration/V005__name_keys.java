package db.migration;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;
import org.nineveils.name.Names;

/**
 * Fills in the keys by which names are compared, and makes them unique. Where two names that were
 * different before are the same now, such as “Ä” and “ä”, the later one gets a number.
 */
@SuppressWarnings("TypeName") // Flyway's way of naming migrations
public final class V005__name_keys extends BaseJavaMigration {
  /** Tables with the columns within which a name is unique. */
  private static final Map<String, String> WITHIN = new LinkedHashMap<>();

  static {
    WITHIN.put("kit", "");
    WITHIN.put("section", "kit_id");
    WITHIN.put("effect", "kit_id");
    WITHIN.put("photo", "side");
    WITHIN.put("collection", "");
    WITHIN.put("swatch", "mark");
  }

  @Override
  public void migrate(Context context) throws SQLException {
    Connection db = context.getConnection();
    for (Map.Entry<String, String> table : WITHIN.entrySet()) {
      String within = table.getValue();
      fill(db, table.getKey(), within);
      try (Statement index = db.createStatement()) {
        index.execute(
            "create unique index name_of_%1$s on %1$s (%2$sname_key)"
                .formatted(table.getKey(), within.isEmpty() ? "" : within + ", "));
      }
    }
  }

  private record Row(long id, String old, String name) {}

  private static void fill(Connection db, String table, String within) throws SQLException {
    List<Row> rows = renamed(db, table, within.isEmpty() ? "''" : within);
    try (PreparedStatement write =
        db.prepareStatement("update %s set name = ?, name_key = ? where id = ?".formatted(table))) {
      for (Row row : rows) {
        if (!row.name().equals(row.old())) { // out of the way of those that take its place
          write(write, "renamed " + row.id(), "", row.id());
        }
      }
      for (Row row : rows) {
        write(write, row.name(), Names.key(row.name()), row.id());
      }
    }
  }

  private static void write(PreparedStatement to, String name, String key, long id)
      throws SQLException {
    to.setString(1, name);
    to.setString(2, key);
    to.setLong(3, id);
    to.executeUpdate();
  }

  private static List<Row> renamed(Connection db, String table, String group) throws SQLException {
    List<Row> out = new ArrayList<>();
    Set<String> taken = new HashSet<>();
    try (Statement read = db.createStatement();
        ResultSet rows =
            read.executeQuery(
                "select id, name, %s as own from %s order by id".formatted(group, table))) {
      while (rows.next()) {
        String base = Names.clean(rows.getString("name"));
        String name = base;
        for (int n = 2; !taken.add(rows.getString("own") + "\n" + Names.key(name)); n++) {
          name = Names.numbered(base, n);
        }
        out.add(new Row(rows.getLong("id"), rows.getString("name"), name));
      }
    }
    return out;
  }
}
