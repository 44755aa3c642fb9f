package org.nineveils.app.desk;

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

  List<DeskRow> all() {
    return db.sql("select * from desk_release order by id desc").query(DeskRow.class).list();
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
            insert into desk_release (sha, name, version, makers_mark) values (?, ?, ?, ?)
            on conflict (sha) do update set name = excluded.name returning id""")
        .params(row.sha(), row.name(), row.version(), row.makersMark())
        .query(Long.class)
        .single();
  }

  void remove(long id) {
    db.sql("delete from fitting where wardrobe = 'release:' || ?").param(id).update();
    db.sql("delete from desk_release where id = ?").param(id).update();
  }
}
