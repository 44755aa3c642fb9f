package org.nineveils.app.house.door;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The one row that remembers a side. */
@Repository
class SideStore {
  private final JdbcClient db;

  SideStore(JdbcClient db) {
    this.db = db;
  }

  Optional<String> find() {
    return db.sql("select side from stands").query(String.class).optional();
  }

  void put(String side) {
    db.sql("insert or replace into stands (one, side) values (1, ?)").param(side).update();
  }
}
