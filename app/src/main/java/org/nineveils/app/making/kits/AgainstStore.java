package org.nineveils.app.making.kits;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of sections whose effects are not worn together. */
@Repository
class AgainstStore {
  private final JdbcClient db;

  AgainstStore(JdbcClient db) {
    this.db = db;
  }

  /** Two sections; the one with the lower id first. */
  record Two(long oneId, long twoId, boolean asks) {}

  List<Two> inKit(long kitId) {
    return db.sql(
            """
            select one_id, two_id, asks from section_against
            where one_id in (select id from section where kit_id = ?) order by id""")
        .param(kitId)
        .query(Two.class)
        .list();
  }

  /** Lets two sections go together again. */
  void remove(long one, long two) {
    db.sql("delete from section_against where one_id = ? and two_id = ?")
        .params(Math.min(one, two), Math.max(one, two))
        .update();
  }

  void put(long one, long two, boolean asks) {
    db.sql("insert into section_against (one_id, two_id, asks) values (?, ?, ?)")
        .params(Math.min(one, two), Math.max(one, two), asks)
        .update();
  }
}
