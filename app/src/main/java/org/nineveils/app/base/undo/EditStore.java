package org.nineveils.app.base.undo;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Rows of the journal. */
final class EditStore {
  /** Steps kept in each scope, however much is done in others. */
  static final int KEPT_STEPS = 400;

  /** Bytes kept in each scope, so that steps of large effects do not fill the disk. */
  static final long KEPT_BYTES = 3_000_000;

  /** Steps that are kept in each scope whatever their size. */
  static final int LEAST_STEPS = 20;

  private static final String EDIT =
      "select e.id, e.label, e.state, e.holds, e.made_at from edit e ";

  private final JdbcClient db;

  EditStore(JdbcClient db) {
    this.db = db;
  }

  long add(Set<String> scopes, String label, String gesture, String now) {
    long id =
        db.sql("insert into edit (label, gesture, made_at) values (?, ?, ?) returning id")
            .params(label, gesture, now)
            .query(Long.class)
            .single();
    for (String scope : scopes) {
      db.sql("insert into edit_scope (scope, edit_id) values (?, ?)").params(scope, id).update();
    }
    return id;
  }

  Optional<Edit> find(long id) {
    return db.sql(EDIT + "where e.id = ?").param(id).query(Edit.class).optional();
  }

  Optional<Edit> inScope(String scope, long id) {
    return db.sql(EDIT + "join edit_scope s on s.edit_id = e.id where s.scope = ? and e.id = ?")
        .params(scope, id)
        .query(Edit.class)
        .optional();
  }

  /** The edit that a scope takes back next, or does again next. */
  Optional<Edit> next(String scope, boolean redo) {
    return db.sql(
            EDIT
                + "join edit_scope s on s.edit_id = e.id where s.scope = ? and e.state = ? order by e.id "
                + (redo ? "asc" : "desc")
                + " limit 1")
        .params(scope, redo ? "undone" : "done")
        .query(Edit.class)
        .optional();
  }

  List<Edit> aside(String scope) {
    return db.sql(
            EDIT
                + """
                join edit_scope s on s.edit_id = e.id
                where s.scope = ? and e.state = 'aside' order by e.id desc""")
        .param(scope)
        .query(Edit.class)
        .list();
  }

  /**
   * The last edit of a scope where it was made by the same gesture and says the same, and nothing
   * was done elsewhere meanwhile: the images of a step are those of its beginning.
   */
  Optional<Edit> ofGesture(Set<String> scopes, String label, String gesture) {
    String scope = scopes.iterator().next();
    return next(scope, false)
        .filter(e -> e.label().equals(label) && next(scope, true).isEmpty())
        .filter(e -> !elsewhereSince(e.id()))
        .filter(
            e ->
                db.sql("select gesture from edit where id = ?")
                    .param(e.id())
                    .query(String.class)
                    .single()
                    .equals(gesture));
  }

  private boolean elsewhereSince(long id) {
    return db.sql(
            """
            select exists (select 1 from edit_change own join edit_change c
              on c.tbl = own.tbl and c.row_key = own.row_key and c.seq > own.seq and c.edit_id > own.edit_id
              where own.edit_id = ?)""")
        .param(id)
        .query(Boolean.class)
        .single();
  }

  /** The changes of an edit, the last one first. */
  List<Change> changes(long id) {
    return db.sql(
            """
            select seq, op, tbl, row_key, cols, old, stays from edit_change
            where edit_id = ? order by seq desc""")
        .param(id)
        .query(Change.class)
        .list();
  }

  void forgetChanges(long id) {
    db.sql("delete from edit_change where edit_id = ?").param(id).update();
  }

  /**
   * Counts what an edit keeps.
   *
   * @return false where it changed nothing
   */
  boolean settle(long id) {
    return db.sql(
                """
                update edit set bytes = coalesce((select sum(coalesce(length(old), 0) + length(row_key) + 60)
                  from edit_change c where c.edit_id = edit.id), 0)
                where id = ? returning bytes""")
            .param(id)
            .query(Long.class)
            .single()
        > 0;
  }

  void turned(long id, String state, int holds) {
    db.sql("update edit set state = ?, holds = ?, gesture = '' where id = ?")
        .params(state, holds, id)
        .update();
  }

  void remove(long id) {
    db.sql("delete from edit where id = ?").param(id).update();
  }

  /**
   * A new edit ends what could be done again. What was taken back with work in it is put aside
   * instead, until the maker says that it can go.
   */
  void endRedo(String scope, long but) {
    String undone =
        "id in (select edit_id from edit_scope where scope = ?) and state = 'undone' and id <> ?";
    db.sql("update edit set state = 'aside' where holds > 0 and " + undone)
        .params(scope, but)
        .update();
    db.sql("delete from edit where " + undone).params(scope, but).update();
  }

  /** Lets the oldest steps of a scope go, where there are more than it keeps. */
  void prune(String scope) {
    List<Long> gone =
        db.sql(
                """
                select edit_id from (
                  select s.edit_id, row_number() over w as place, sum(e.bytes) over w as held
                  from edit_scope s join edit e on e.id = s.edit_id
                  where s.scope = ? and e.state <> 'aside'
                  window w as (order by s.edit_id desc))
                where place > ? or (held > ? and place > ?)""")
            .params(scope, KEPT_STEPS, KEPT_BYTES, LEAST_STEPS)
            .query(Long.class)
            .list();
    for (long id : gone) {
      db.sql("delete from edit_scope where scope = ? and edit_id = ?").params(scope, id).update();
      db.sql("delete from edit where id = ? and id not in (select edit_id from edit_scope)")
          .param(id)
          .update();
    }
  }

  /** The newest other edit that changed those columns of a row after a place in the journal. */
  Optional<Edit> later(Change change, long but, boolean onlyDone) {
    return db.sql(
            EDIT
                + """
                join edit_change c on c.edit_id = e.id
                where c.tbl = ? and c.row_key = ? and c.op = 'update' and c.cols = ? and c.seq > ?
                  and (e.state = 'done' or not ?) and e.id <> ?
                order by e.state = 'done' desc, c.seq desc limit 1""")
        .params(change.tbl(), change.rowKey(), change.cols(), change.seq(), onlyDone, but)
        .query(Edit.class)
        .optional();
  }

  /** The newest other edit that made a row what it is. */
  Optional<Edit> putting(String table, String rowKey, long but) {
    return db.sql(
            EDIT
                + """
                join edit_change c on c.edit_id = e.id
                where c.tbl = ? and c.row_key = ? and c.op <> 'delete' and e.state = 'done' and e.id <> ?
                order by c.seq desc limit 1""")
        .params(table, rowKey, but)
        .query(Edit.class)
        .optional();
  }

  /** Other edits that are done and worked in a row after a place in the journal. */
  List<Long> workedIn(String table, String rowKey, long after, long but) {
    return db.sql(
            """
            select distinct c.edit_id from edit_change c join edit e on e.id = c.edit_id
            where c.tbl = ? and c.row_key = ? and c.seq > ? and e.state = 'done' and e.id <> ?""")
        .params(table, rowKey, after, but)
        .query(Long.class)
        .list();
  }

  /** Keeps what a change left; see {@link Change}. */
  void stays(long seq, String digest) {
    db.sql("update edit_change set stays = ? where seq = ?").params(digest, seq).update();
  }

  /** The newest edit that, replayed, brings a row back; and the row as it was. */
  record Bringer(long id, String label, String state, String old) {}

  Optional<Bringer> bringing(String table, String rowKey) {
    return db.sql(
            """
            select e.id, e.label, e.state, c.old from edit_change c join edit e on e.id = c.edit_id
            where c.tbl = ? and c.row_key = ? and c.op = 'delete' order by c.seq desc limit 1""")
        .params(table, rowKey)
        .query(Bringer.class)
        .optional();
  }
}
