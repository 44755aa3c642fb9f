package db.migration;

import java.sql.Connection;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import org.flywaydb.core.api.migration.BaseJavaMigration;
import org.flywaydb.core.api.migration.Context;

/** Hues, tone ranges and families of ink have names of our own in all documents and images. */
@SuppressWarnings("TypeName") // Flyway's way of naming migrations
public final class V007__own_names extends BaseJavaMigration {
  /** Columns that hold documents, by table, with the key of the table. */
  private static final Map<String, String[]> COLUMNS = new LinkedHashMap<>();

  static {
    COLUMNS.put("effect", new String[] {"id", "doc"});
    COLUMNS.put("fitting", new String[] {"id", "doc"});
    COLUMNS.put("pin", new String[] {"id", "doc"});
    COLUMNS.put("swatch", new String[] {"id", "doc"});
    COLUMNS.put("job", new String[] {"id", "request"});
    COLUMNS.put("edit_change", new String[] {"seq", "old"});
  }

  @Override
  public void migrate(Context context) throws SQLException {
    for (Map.Entry<String, String[]> table : COLUMNS.entrySet()) {
      rename(context.getConnection(), table.getKey(), table.getValue()[0], table.getValue()[1]);
    }
  }

  private static void rename(Connection db, String table, String key, String column)
      throws SQLException {
    Map<Long, String> renamed = new LinkedHashMap<>();
    try (Statement read = db.createStatement();
        ResultSet rows = read.executeQuery("select %s, %s from %s".formatted(key, column, table))) {
      while (rows.next()) {
        String before = rows.getString(2);
        String now = before == null ? null : OwnNames.in(before);
        if (now != null && !now.equals(before)) {
          renamed.put(rows.getLong(1), now);
        }
      }
    }
    try (PreparedStatement write =
        db.prepareStatement("update %s set %s = ? where %s = ?".formatted(table, column, key))) {
      for (Map.Entry<Long, String> row : renamed.entrySet()) {
        write.setString(1, row.getValue());
        write.setLong(2, row.getKey());
        write.executeUpdate();
      }
    }
  }
}
