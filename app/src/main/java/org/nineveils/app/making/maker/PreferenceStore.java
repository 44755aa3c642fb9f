package org.nineveils.app.making.maker;

import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Words that are kept under a name. */
@Repository
class PreferenceStore {
  private final JdbcClient db;

  PreferenceStore(JdbcClient db) {
    this.db = db;
  }

  /** Empty where nothing was kept. */
  String get(String name) {
    return db.sql("select value from preference where name = ?")
        .param(name)
        .query(String.class)
        .optional()
        .orElse("");
  }

  void put(String name, String value) {
    db.sql(
            """
            insert into preference (name, value) values (?, ?)
            on conflict do update set value = excluded.value""")
        .params(name, value)
        .update();
  }
}
