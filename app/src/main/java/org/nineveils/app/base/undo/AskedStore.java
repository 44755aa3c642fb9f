package org.nineveils.app.base.undo;

import org.nineveils.app.base.fault.Conflict;
import org.springframework.jdbc.core.simple.JdbcClient;

/** Names of requests that changed something: the newest ones, in the transaction of the change. */
final class AskedStore {
  /** Names that are remembered: far more than any pages can have on their way. */
  static final int KEPT = 2000;

  private final JdbcClient db;

  AskedStore(JdbcClient db) {
    this.db = db;
  }

  /**
   * Looks whether the present request was done before.
   *
   * @throws Conflict if it was, and only its answer was lost
   */
  void check() {
    boolean done =
        !Asked.name().isEmpty()
            && db.sql("select exists (select 1 from asked where name = ?)")
                .param(Asked.name())
                .query(Boolean.class)
                .single();
    if (done) {
      throw Conflict.done();
    }
  }

  /** The present request changed something. */
  void keep() {
    if (!Asked.name().isEmpty()) {
      long place =
          db.sql("insert into asked (name) values (?) returning place")
              .param(Asked.name())
              .query(Long.class)
              .single();
      db.sql("delete from asked where place <= ?").param(place - KEPT).update();
    }
  }
}
