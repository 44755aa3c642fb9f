package org.nineveils.app.swatches;

import java.util.List;
import java.util.Optional;
import org.nineveils.kit.Names;
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

  /** Those whose settings no veil of any effect has. */
  List<Swatch> unused() {
    return db.sql(
            """
            with hung as materialized (
              select distinct v.value ->> '$.kind' as kind, v.value -> '$.settings' as settings
              from effect e, json_each(e.doc, '$.veils') v)
            select s.* from swatch s where not exists (
              select 1 from hung h
              where h.kind = s.doc ->> '$.kind' and h.settings = s.doc -> '$.settings')
            order by s.id""")
        .query(Swatch.class)
        .list();
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
