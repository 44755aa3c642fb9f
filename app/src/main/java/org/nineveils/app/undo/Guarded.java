package org.nineveils.app.undo;

import org.springframework.jdbc.core.simple.JdbcClient;

/** Rows with a document, a revision that counts its changes, and the token of the last save. */
public final class Guarded {
  private Guarded() {}

  /**
   * Stores a document if its row is still at the state that the save was built on.
   *
   * @return whether it was
   */
  public static boolean save(JdbcClient db, String table, long id, Save save, String doc) {
    return db.sql(
                "update %s set doc = ?, rev = rev + 1, token = ? where id = ? and %s"
                    .formatted(table, Save.MATCH))
            .params(doc, save.token(), id, save.rev(), save.after())
            .update()
        == 1;
  }

  /** Whether this very save was stored before, and only its answer was lost. */
  public static boolean isStored(JdbcClient db, String table, long id, Save save) {
    return db.sql(
            "select exists (select 1 from %s where id = ? and token <> '' and token = ?)"
                .formatted(table))
        .params(id, save.token())
        .query(Boolean.class)
        .single();
  }
}
