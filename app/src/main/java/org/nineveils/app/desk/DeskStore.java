package org.nineveils.app.desk;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
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

  /** How many fittings wear something of each release. */
  Map<Long, Integer> worn() {
    Map<Long, Integer> out = new HashMap<>();
    db.sql(
            """
            select r.id, count(*) as n from desk_release r
            join fitting f on f.wardrobe = 'release:' || r.id
            where f.doc like '%"effect"%' group by r.id""")
        .query((row, i) -> out.put(row.getLong("id"), row.getInt("n")))
        .list();
    return out;
  }

  void remove(long id) {
    db.sql("delete from fitting where wardrobe = 'release:' || ?").param(id).update();
    db.sql("delete from desk_release where id = ?").param(id).update();
  }
}
