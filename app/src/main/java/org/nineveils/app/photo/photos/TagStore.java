package org.nineveils.app.photo.photos;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.name.Names;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of tags of photos. */
@Repository
class TagStore {
  private final JdbcClient db;

  TagStore(JdbcClient db) {
    this.db = db;
  }

  /** All tags, in the order in which they were given, by photo. */
  Map<Long, List<String>> all() {
    Map<Long, List<String>> out = new LinkedHashMap<>();
    db.sql("select photo_id, tag from photo_tag order by id")
        .query(
            row -> {
              out.computeIfAbsent(row.getLong("photo_id"), p -> new ArrayList<>())
                  .add(row.getString("tag"));
            });
    return out;
  }

  List<String> of(long photoId) {
    return db.sql("select tag from photo_tag where photo_id = ? order by id")
        .param(photoId)
        .query(String.class)
        .list();
  }

  void add(long photoId, String tag) {
    db.sql(
            """
            insert into photo_tag (photo_id, tag, tag_key) values (?, ?, ?)
            on conflict (photo_id, tag_key) do nothing""")
        .params(photoId, tag, Names.key(tag))
        .update();
  }

  void remove(long photoId, String tag) {
    db.sql("delete from photo_tag where photo_id = ? and tag_key = ?")
        .params(photoId, Names.key(tag))
        .update();
  }
}
