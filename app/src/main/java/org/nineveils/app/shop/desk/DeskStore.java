package org.nineveils.app.shop.desk;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of opened releases. */
@Repository
class DeskStore {
  private final JdbcClient db;

  DeskStore(JdbcClient db) {
    this.db = db;
  }

  /** Those at the desk, the newest first. */
  List<DeskRow> all() {
    return db.sql("select * from desk_release where replaced_by = 0 order by id desc")
        .query(DeskRow.class)
        .list();
  }

  /** All that were ever opened and not taken off, replaced ones too. */
  List<DeskRow> kept() {
    return db.sql("select * from desk_release order by id desc").query(DeskRow.class).list();
  }

  /** Lets one take the other's place. */
  void replace(long old, long now) {
    db.sql("update desk_release set replaced_by = ? where id = ?").params(now, old).update();
    db.sql("update desk_release set replaced_by = 0 where id = ?").param(now).update();
  }

  Optional<DeskRow> find(long id) {
    return db.sql("select * from desk_release where id = ?")
        .param(id)
        .query(DeskRow.class)
        .optional();
  }

  /** Adds a release, or gives the row that the same file has already. */
  long add(DeskRow row) {
    return db.sql(
            """
            insert into desk_release (sha, name, version, makers_mark, code, signed_by)
            values (?, ?, ?, ?, ?, ?)
            on conflict (sha) do update
              set code = case when excluded.code = '' then code else excluded.code end,
                replaced_by = 0
            returning id""")
        .params(row.sha(), row.name(), row.version(), row.makersMark(), row.code(), row.signedBy())
        .query(Long.class)
        .single();
  }

  /** Releases whose place another has taken, or that were put aside for it. */
  List<DeskRow> behind(long id) {
    return db.sql("select * from desk_release where replaced_by = ? order by id")
        .param(id)
        .query(DeskRow.class)
        .list();
  }

  /** Puts a release behind another, or at the desk itself for 0. */
  void behind(long id, long other) {
    db.sql("update desk_release set replaced_by = ? where id = ?").params(other, id).update();
  }

  /** Takes a release off. */
  void remove(long id) {
    db.sql("delete from desk_release where id = ?").param(id).update();
  }
}
