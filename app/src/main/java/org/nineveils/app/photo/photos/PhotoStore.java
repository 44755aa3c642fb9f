package org.nineveils.app.photo.photos;

import java.util.List;
import java.util.Optional;
import org.nineveils.name.Names;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of photos. */
@Repository
class PhotoStore {
  private final JdbcClient db;

  PhotoStore(JdbcClient db) {
    this.db = db;
  }

  List<Photo> all(Side side) {
    return db.sql("select * from photo where side = ? order by id")
        .param(side.id())
        .query(Photo.class)
        .list();
  }

  int count(Side side) {
    return db.sql("select count(*) from photo where side = ?")
        .param(side.id())
        .query(Integer.class)
        .single();
  }

  Optional<Photo> find(long id) {
    return db.sql("select * from photo where id = ?").param(id).query(Photo.class).optional();
  }

  boolean nameTaken(Side side, String name) {
    return db.sql("select exists (select 1 from photo where side = ? and name_key = ?)")
        .params(side.id(), Names.key(name))
        .query(Boolean.class)
        .single();
  }

  long add(Side side, String name, String sha, int width, int height) {
    return db.sql(
            """
            insert into photo (side, name, name_key, sha, width, height) values (?, ?, ?, ?, ?, ?)
            returning id""")
        .params(side.id(), name, Names.key(name), sha, width, height)
        .query(Long.class)
        .single();
  }

  void rename(long id, String name) {
    db.sql("update photo set name = ?, name_key = ? where id = ?")
        .params(name, Names.key(name), id)
        .update();
  }

  void remove(long id) {
    db.sql("delete from photo where id = ?").param(id).update();
  }
}
