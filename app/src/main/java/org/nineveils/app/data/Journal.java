package org.nineveils.app.data;

import java.util.List;
import java.util.Optional;
import java.util.function.Supplier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes edits that can be taken back, also after a restart.
 *
 * <p>How: while an edit is running, triggers (see {@link JournalTriggers}) write for every changed
 * row the statement that restores it. Taking an edit back runs those statements, last first, while
 * the same triggers write the statements for doing it again. Edit and undo record are one
 * transaction.
 */
@Component
public class Journal {
  /** Edits kept per scope. */
  private static final int KEPT = 500;

  private final JdbcClient db;
  private final TransactionTemplate transaction;

  Journal(JdbcClient db, TransactionTemplate transaction) {
    this.db = db;
    this.transaction = transaction;
  }

  /**
   * Runs an edit.
   *
   * @param scope what undo looks at together: “effect:7”, “kit:3” …
   * @param label what was done, for the user
   * @param work changes rows; if it throws, nothing is changed
   */
  public <T> T edit(String scope, String label, Supplier<T> work) {
    return transaction.execute(
        status -> {
          db.sql("delete from edit where scope = ? and undone = 1").param(scope).update();
          long id =
              db.sql("insert into edit (scope, label) values (?, ?) returning id")
                  .params(scope, label)
                  .query(Long.class)
                  .single();
          db.sql("delete from edit where scope = ? and id <= ? - ?")
              .params(scope, id, KEPT)
              .update();
          return recording(id, work);
        });
  }

  /** Runs changes that are not to be taken back, in one transaction. */
  public <T> T quietly(Supplier<T> work) {
    return transaction.execute(status -> work.get());
  }

  /** Forgets all that could be taken back: what is there now is where the maker starts. */
  public void forgetAll() {
    db.sql("delete from edit").update();
  }

  /** Takes the last edit of a scope back; gives its label, or nothing if there is none. */
  public Optional<String> undo(String scope) {
    return replay(scope, 0, "desc");
  }

  /** Does the edit that was taken back last again. */
  public Optional<String> redo(String scope) {
    return replay(scope, 1, "asc");
  }

  public boolean canUndo(String scope) {
    return has(scope, 0);
  }

  public boolean canRedo(String scope) {
    return has(scope, 1);
  }

  private boolean has(String scope, int undone) {
    return db.sql("select exists (select 1 from edit where scope = ? and undone = ?)")
        .params(scope, undone)
        .query(Boolean.class)
        .single();
  }

  private record Edit(long id, String label) {}

  private Optional<String> replay(String scope, int undone, String order) {
    return transaction.execute(
        status -> {
          Optional<Edit> edit =
              db.sql(
                      "select id, label from edit where scope = ? and undone = ? order by id "
                          + order
                          + " limit 1")
                  .params(scope, undone)
                  .query(Edit.class)
                  .optional();
          edit.ifPresent(e -> replay(e.id(), 1 - undone));
          return edit.map(Edit::label);
        });
  }

  private void replay(long id, int undone) {
    List<String> statements =
        db.sql("select statement from edit_change where edit_id = ? order by seq desc")
            .param(id)
            .query(String.class)
            .list();
    db.sql("delete from edit_change where edit_id = ?").param(id).update();
    // Rows come back in an order that foreign keys need not like; they are checked at the end.
    db.sql("pragma defer_foreign_keys = on").update();
    recording(
        id,
        () -> {
          statements.forEach(statement -> db.sql(statement).update());
          return null;
        });
    db.sql("update edit set undone = ? where id = ?").params(undone, id).update();
  }

  private <T> T recording(long id, Supplier<T> work) {
    db.sql("update current_edit set edit_id = ?").param(id).update();
    T result = work.get();
    db.sql("update current_edit set edit_id = null").update();
    return result;
  }
}
