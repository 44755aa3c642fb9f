package org.nineveils.app.making.kits;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of the photos that kits are shown on. */
@Repository
class ShownStore {
  private final JdbcClient db;

  ShownStore(JdbcClient db) {
    this.db = db;
  }

  /** Photos that a kit is shown on, in the order in which they were chosen. */
  List<Long> photos(long kitId) {
    return db.sql("select photo_id from kit_photo where kit_id = ? order by id")
        .param(kitId)
        .query(Long.class)
        .list();
  }

  Optional<Long> cover(long kitId) {
    return db.sql("select photo_id from kit_photo where kit_id = ? and cover = 1")
        .param(kitId)
        .query(Long.class)
        .optional();
  }

  void add(long kitId, long photoId) {
    db.sql(
            """
            insert into kit_photo (kit_id, photo_id) values (?, ?)
            on conflict (kit_id, photo_id) do nothing""")
        .params(kitId, photoId)
        .update();
  }

  void remove(long kitId, long photoId) {
    db.sql("delete from kit_photo where kit_id = ? and photo_id = ?")
        .params(kitId, photoId)
        .update();
  }

  void setCover(long kitId, long photoId) {
    db.sql("update kit_photo set cover = (photo_id = ?) where kit_id = ?")
        .params(photoId, kitId)
        .update();
  }
}
