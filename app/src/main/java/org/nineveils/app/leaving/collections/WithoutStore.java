package org.nineveils.app.leaving.collections;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What of the chosen kits stays out of a collection. */
@Repository
class WithoutStore {
  private final JdbcClient db;

  WithoutStore(JdbcClient db) {
    this.db = db;
  }

  List<Long> sections(long collection) {
    return ids("section_id", collection);
  }

  List<Long> effects(long collection) {
    return ids("effect_id", collection);
  }

  private List<Long> ids(String column, long collection) {
    return db.sql(
            """
            select %1$s from collection_without
            where collection_id = ? and %1$s is not null order by id"""
                .formatted(column))
        .param(collection)
        .query(Long.class)
        .list();
  }

  void set(long collection, List<Long> sections, List<Long> effects) {
    set("section_id", collection, sections);
    set("effect_id", collection, effects);
  }

  /** Rows that stay as they are are not touched. */
  private void set(String column, long collection, List<Long> ids) {
    List<Long> there = ids(column, collection);
    for (long id : there) {
      if (!ids.contains(id)) {
        db.sql(
                "delete from collection_without where collection_id = ? and %s = ?"
                    .formatted(column))
            .params(collection, id)
            .update();
      }
    }
    for (long id : ids) {
      if (!there.contains(id)) {
        db.sql("insert into collection_without (collection_id, %s) values (?, ?)".formatted(column))
            .params(collection, id)
            .update();
      }
    }
  }
}
