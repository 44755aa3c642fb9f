package org.nineveils.app.wear.fitting;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of what is worn together with a wardrobe, in the order in which it was taken to it. */
@Repository
class TogetherStore {
  private final JdbcClient db;

  TogetherStore(JdbcClient db) {
    this.db = db;
  }

  List<String> of(String wardrobe) {
    return db.sql("select other from together where wardrobe = ? order by id")
        .param(wardrobe)
        .query(String.class)
        .list();
  }

  void add(String wardrobe, String other) {
    db.sql(
            """
            insert into together (wardrobe, other) values (?, ?)
            on conflict (wardrobe, other) do nothing""")
        .params(wardrobe, other)
        .update();
  }

  void remove(String wardrobe, String other) {
    db.sql("delete from together where wardrobe = ? and other = ?")
        .params(wardrobe, other)
        .update();
  }
}
