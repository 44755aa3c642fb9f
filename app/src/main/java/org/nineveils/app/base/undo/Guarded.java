package org.nineveils.app.base.undo;

import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.Merge;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Rows with a document, a revision that counts its changes, and the name of the last request. */
public final class Guarded {
  private Guarded() {}

  private record Row(int rev, String asked, String doc) {}

  /**
   * How a thing is kept as a document.
   *
   * @param what how to call the document in messages
   */
  public record Shape<T>(
      String what, Function<T, Map<String, Object>> format, Function<Fields, T> parse) {}

  /**
   * What a save makes of its row: what it brings where the row is still at the state that the save
   * was built on; its change on what is there where requests of the same page came between.
   *
   * @param brought what the save brings
   * @return empty if something else came between
   */
  public static <T> Optional<T> meeting(
      JdbcClient db, String table, long id, Save save, T brought, Shape<T> shape) {
    return found(db, table, id, save)
        .map(
            row ->
                row.rev() == save.rev() || save.built().isEmpty()
                    ? brought
                    : merged(row, save, brought, shape));
  }

  private static <T> T merged(Row row, Save save, T brought, Shape<T> shape) {
    Map<String, Object> doc =
        Merge.onto(
            save.built(), shape.format().apply(brought), Json.read(row.doc(), shape.what()).raw());
    return shape.parse().apply(Json.read(Json.write(doc), shape.what()));
  }

  /**
   * The document as it is, for a change that was made on the state that a save names.
   *
   * @param what how to call the document in messages
   * @return empty if something else came between
   */
  public static Optional<Fields> now(JdbcClient db, String table, long id, Save save, String what) {
    return found(db, table, id, save).map(row -> Json.read(row.doc(), what));
  }

  private static Optional<Row> found(JdbcClient db, String table, long id, Save save) {
    return db.sql("select rev, token as asked, doc from %s where id = ?".formatted(table))
        .param(id)
        .query(Row.class)
        .optional()
        .filter(row -> save.follows(row.rev(), row.asked()));
  }

  /** Stores a document; its revision counts on. */
  public static void store(JdbcClient db, String table, long id, String doc) {
    db.sql("update %s set doc = ?, rev = rev + 1, token = ? where id = ?".formatted(table))
        .params(doc, Asked.name(), id)
        .update();
  }
}
