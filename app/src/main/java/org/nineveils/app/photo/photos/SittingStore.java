package org.nineveils.app.photo.photos;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.name.Names;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of sittings, and of which photos are in them. */
@Repository
class SittingStore {
  private final JdbcClient db;

  SittingStore(JdbcClient db) {
    this.db = db;
  }

  List<Sittings.Sitting> all(Side side) {
    return db.sql("select id, name from sitting where side = ? order by id")
        .param(side.id())
        .query(Sittings.Sitting.class)
        .list();
  }

  Optional<Long> find(Side side, String name) {
    return db.sql("select id from sitting where side = ? and name_key = ?")
        .params(side.id(), Names.key(name))
        .query(Long.class)
        .optional();
  }

  long add(Side side, String name) {
    return db.sql("insert into sitting (side, name, name_key) values (?, ?, ?) returning id")
        .params(side.id(), name, Names.key(name))
        .query(Long.class)
        .single();
  }

  boolean rename(Side side, long id, String name) {
    return db.sql("update sitting set name = ?, name_key = ? where id = ? and side = ?")
            .params(name, Names.key(name), id, side.id())
            .update()
        == 1;
  }

  /** Ids of sittings by photo. */
  Map<Long, Long> of(Side side) {
    Map<Long, Long> out = new LinkedHashMap<>();
    db.sql(
            """
            select photo_id, sitting_id from in_sitting
            join sitting on sitting.id = sitting_id where side = ?""")
        .param(side.id())
        .query(
            row -> {
              out.put(row.getLong("photo_id"), row.getLong("sitting_id"));
            });
    return out;
  }

  void put(long photoId, long sitting) {
    takeOut(photoId);
    db.sql("insert into in_sitting (photo_id, sitting_id) values (?, ?)")
        .params(photoId, sitting)
        .update();
  }

  void takeOut(long photoId) {
    db.sql("delete from in_sitting where photo_id = ?").param(photoId).update();
  }

  /** Sittings that no photo is in any more. */
  void removeEmpty(Side side) {
    db.sql(
            """
            delete from sitting where side = ?
            and not exists (select 1 from in_sitting where sitting_id = sitting.id)""")
        .param(side.id())
        .update();
  }
}
