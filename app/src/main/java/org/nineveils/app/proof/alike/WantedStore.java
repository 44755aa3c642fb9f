package org.nineveils.app.proof.alike;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of effects that look alike and are both wanted. */
@Repository
class WantedStore {
  private final JdbcClient db;

  WantedStore(JdbcClient db) {
    this.db = db;
  }

  /** Two effects, the one with the lower id first. */
  record Two(long oneId, long twoId) {
    static Two of(long a, long b) {
      return new Two(Math.min(a, b), Math.max(a, b));
    }
  }

  List<Two> all() {
    return db.sql("select one_id, two_id from both_wanted").query(Two.class).list();
  }

  void put(Two two, boolean wanted) {
    db.sql("delete from both_wanted where one_id = ? and two_id = ?")
        .params(two.oneId(), two.twoId())
        .update();
    if (wanted) {
      db.sql("insert into both_wanted (one_id, two_id) values (?, ?)")
          .params(two.oneId(), two.twoId())
          .update();
    }
  }
}
