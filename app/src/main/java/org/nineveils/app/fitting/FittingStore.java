package org.nineveils.app.fitting;

import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of fittings. */
@Repository
class FittingStore {
  private final JdbcClient db;

  FittingStore(JdbcClient db) {
    this.db = db;
  }

  Optional<FittingRow> find(long id) {
    return db.sql("select * from fitting where id = ?")
        .param(id)
        .query(FittingRow.class)
        .optional();
  }

  Optional<FittingRow> find(String wardrobe, long photoId) {
    return db.sql("select * from fitting where wardrobe = ? and photo_id = ?")
        .params(wardrobe, photoId)
        .query(FittingRow.class)
        .optional();
  }

  /** The newest fitting of one of these wardrobes' kind. */
  Optional<FittingRow> latest(String prefix) {
    return db.sql(
            """
            select fitting.* from fitting
            left join edit on edit.scope = 'fitting:' || fitting.id
            where wardrobe like ? || ':%' order by edit.id desc, fitting.id desc limit 1""")
        .param(prefix)
        .query(FittingRow.class)
        .optional();
  }

  long add(String wardrobe, long photoId, String doc) {
    return db.sql("insert into fitting (wardrobe, photo_id, doc) values (?, ?, ?) returning id")
        .params(wardrobe, photoId, doc)
        .query(Long.class)
        .single();
  }

  boolean save(long id, int rev, String doc) {
    return db.sql("update fitting set doc = ?, rev = rev + 1 where id = ? and rev = ?")
            .params(doc, id, rev)
            .update()
        == 1;
  }
}
