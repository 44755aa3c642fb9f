package org.nineveils.app.undo;

import java.util.Map;
import java.util.Optional;
import org.nineveils.document.Fields;
import org.nineveils.document.Json;
import org.nineveils.document.Merge;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Rows with a document, a revision that counts its changes, and the name of the last request. */
public final class Guarded {
  private Guarded() {}

  private record Row(int rev, String asked, String doc) {}

  /**
   * What a save makes of its row: the document that it brings where the row is still at the state
   * that the save was built on; its change on what is there where requests of the same page came
   * between.
   *
   * @param doc what the save brings
   * @param what how to call the document in messages
   * @return empty if something else came between
   */
  public static Optional<Fields> meeting(
      JdbcClient db, String table, long id, Save save, Map<String, Object> doc, String what) {
    return found(db, table, id, save)
        .map(row -> row.rev() == save.rev() ? doc : merged(row, save, doc, what))
        .map(met -> Json.read(Json.write(met), what));
  }

  private static Map<String, Object> merged(
      Row row, Save save, Map<String, Object> doc, String what) {
    return save.built().isEmpty()
        ? doc
        : Merge.onto(save.built(), doc, Json.read(row.doc(), what).raw());
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
