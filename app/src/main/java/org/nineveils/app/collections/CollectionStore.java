package org.nineveils.app.collections;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of collections, their kits, and packed releases. */
@Repository
class CollectionStore {
  private final JdbcClient db;

  CollectionStore(JdbcClient db) {
    this.db = db;
  }

  List<Rows.Collection> all() {
    return db.sql("select * from collection order by id").query(Rows.Collection.class).list();
  }

  Optional<Rows.Collection> find(long id) {
    return db.sql("select * from collection where id = ?")
        .param(id)
        .query(Rows.Collection.class)
        .optional();
  }

  boolean nameTaken(String name, long besides) {
    return db.sql("select exists (select 1 from collection where name = ? and id <> ?)")
        .params(name, besides)
        .query(Boolean.class)
        .single();
  }

  long add(String name, String version) {
    return db.sql("insert into collection (name, version) values (?, ?) returning id")
        .params(name, version)
        .query(Long.class)
        .single();
  }

  void change(Rows.Collection c) {
    db.sql(
            """
            update collection set name = ?, version = ?, licence = ?, notes = ?, rev = rev + 1
            where id = ?""")
        .params(c.name(), c.version(), c.licence(), c.notes(), c.id())
        .update();
  }

  void remove(long id) {
    db.sql("delete from collection where id = ?").param(id).update();
  }

  List<Long> kits(long id) {
    return db.sql("select kit_id from collection_kit where collection_id = ? order by position")
        .param(id)
        .query(Long.class)
        .list();
  }

  void setKits(long id, List<Long> kits) {
    db.sql("delete from collection_kit where collection_id = ?").param(id).update();
    for (int i = 0; i < kits.size(); i++) {
      db.sql("insert into collection_kit (collection_id, kit_id, position) values (?, ?, ?)")
          .params(id, kits.get(i), i + 1)
          .update();
    }
  }

  List<Rows.Packed> packed(long id) {
    return db.sql("select * from packed where collection_id = ? order by id desc")
        .param(id)
        .query(Rows.Packed.class)
        .list();
  }

  Optional<Rows.Packed> packedOne(long id) {
    return db.sql("select * from packed where id = ?")
        .param(id)
        .query(Rows.Packed.class)
        .optional();
  }

  Optional<Rows.Packed> packed(String name, String version) {
    return db.sql("select * from packed where name = ? and version = ?")
        .params(name, version)
        .query(Rows.Packed.class)
        .optional();
  }

  void addPacked(Rows.Packed p) {
    db.sql(
            """
            insert into packed (collection_id, name, version, file_name, sha, bytes, packed_at)
            values (?, ?, ?, ?, ?, ?, ?)""")
        .params(
            p.collectionId(), p.name(), p.version(), p.fileName(), p.sha(), p.bytes(), p.packedAt())
        .update();
  }

  String preference(String name) {
    return db.sql("select value from preference where name = ?")
        .param(name)
        .query(String.class)
        .optional()
        .orElse("");
  }

  void setPreference(String name, String value) {
    db.sql(
            """
            insert into preference (name, value) values (?, ?)
            on conflict do update set value = excluded.value""")
        .params(name, value)
        .update();
  }
}
