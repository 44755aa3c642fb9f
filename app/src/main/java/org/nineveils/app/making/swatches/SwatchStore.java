package org.nineveils.app.making.swatches;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.name.Names;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of swatches. */
@Repository
class SwatchStore {
  /**
   * A stored veil.
   *
   * @param mark maker's mark; may be empty
   * @param doc JSON of a veil
   */
  record Swatch(long id, String mark, String name, String doc) {}

  private final JdbcClient db;

  SwatchStore(JdbcClient db) {
    this.db = db;
  }

  /** What each is, by id, as {@link org.nineveils.app.making.kits.EffectService#hung} tells it. */
  Map<Long, String> looks() {
    Map<Long, String> out = new LinkedHashMap<>();
    db.sql("select id, doc ->> '$.kind' || (doc -> '$.settings') as look from swatch order by id")
        .query(
            row -> {
              out.put(row.getLong("id"), row.getString("look"));
            });
    return out;
  }

  List<Swatch> all() {
    return db.sql("select * from swatch order by mark, name").query(Swatch.class).list();
  }

  Optional<Swatch> find(long id) {
    return db.sql("select * from swatch where id = ?").param(id).query(Swatch.class).optional();
  }

  boolean nameTaken(String mark, String name) {
    return db.sql("select exists (select 1 from swatch where mark = ? and name_key = ?)")
        .params(mark, Names.key(name))
        .query(Boolean.class)
        .single();
  }

  void add(String mark, String name, String doc) {
    db.sql("insert into swatch (mark, name, name_key, doc) values (?, ?, ?, ?)")
        .params(mark, name, Names.key(name), doc)
        .update();
  }

  void rename(long id, String name) {
    db.sql("update swatch set name = ?, name_key = ? where id = ?")
        .params(name, Names.key(name), id)
        .update();
  }

  void remove(long id) {
    db.sql("delete from swatch where id = ?").param(id).update();
  }
}
