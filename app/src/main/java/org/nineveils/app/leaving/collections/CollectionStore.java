package org.nineveils.app.leaving.collections;

import java.util.List;
import java.util.Optional;
import org.nineveils.app.base.undo.Asked;
import org.nineveils.name.Names;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of collections, their kits, and packed releases. */
@Repository
class CollectionStore {
  private final JdbcClient db;

  CollectionStore(JdbcClient db) {
    this.db = db;
  }

  List<CollectionRows.Collection> all() {
    return db.sql("select * from collection order by id")
        .query(CollectionRows.Collection.class)
        .list();
  }

  Optional<CollectionRows.Collection> find(long id) {
    return db.sql("select * from collection where id = ?")
        .param(id)
        .query(CollectionRows.Collection.class)
        .optional();
  }

  boolean nameTaken(String name, long besides) {
    return db.sql("select exists (select 1 from collection where name_key = ? and id <> ?)")
        .params(Names.key(name), besides)
        .query(Boolean.class)
        .single();
  }

  long add(String name, String version) {
    return db.sql("insert into collection (name, name_key, version) values (?, ?, ?) returning id")
        .params(name, Names.key(name), version)
        .query(Long.class)
        .single();
  }

  /** The name of the request that changed a collection last. */
  String asked(long id) {
    return db.sql("select token from collection where id = ?")
        .param(id)
        .query(String.class)
        .single();
  }

  void change(CollectionRows.Collection c) {
    db.sql(
            """
            update collection set name = ?, name_key = ?, version = ?, licence = ?, notes = ?,
              cover_photo = ?, cover_effect = ?, may_hand_out = ?, rev = rev + 1, token = ?
            where id = ?""")
        .params(
            c.name(),
            Names.key(c.name()),
            c.version(),
            c.licence(),
            c.notes(),
            c.coverPhoto(),
            c.coverEffect(),
            c.mayHandOut(),
            Asked.name(),
            c.id())
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

  /** Chooses kits; rows that stay as they are are not touched. */
  void setKits(long id, List<Long> kits) {
    if (kits.equals(kits(id))) {
      return;
    }
    db.sql("delete from collection_kit where collection_id = ?").param(id).update();
    for (int i = 0; i < kits.size(); i++) {
      db.sql("insert into collection_kit (collection_id, kit_id, position) values (?, ?, ?)")
          .params(id, kits.get(i), i + 1)
          .update();
    }
  }

  List<CollectionRows.Packed> packed(long id) {
    return db.sql("select * from packed_release where collection_id = ? order by id desc")
        .param(id)
        .query(CollectionRows.Packed.class)
        .list();
  }

  /** Releases whose collection is gone. */
  List<CollectionRows.Packed> packedOfNone() {
    return db.sql(
            """
            select * from packed_release where collection_id not in (select id from collection)
            order by id desc""")
        .query(CollectionRows.Packed.class)
        .list();
  }

  Optional<CollectionRows.Packed> packedOne(long id) {
    return db.sql("select * from packed_release where id = ?")
        .param(id)
        .query(CollectionRows.Packed.class)
        .optional();
  }

  Optional<CollectionRows.Packed> packed(String name, String version) {
    return db
        .sql("select * from packed_release where version = ?")
        .param(version)
        .query(CollectionRows.Packed.class)
        .list()
        .stream()
        .filter(p -> Names.key(p.name()).equals(Names.key(name)))
        .findFirst();
  }

  void addPacked(CollectionRows.Packed p) {
    db.sql(
            """
            insert into packed_release
              (collection_id, name, version, file_name, sha, bytes, packed_at, effects, signed_by)
            values (?, ?, ?, ?, ?, ?, ?, ?, ?)""")
        .params(
            p.collectionId(),
            p.name(),
            p.version(),
            p.fileName(),
            p.sha(),
            p.bytes(),
            p.packedAt(),
            p.effects(),
            p.signedBy())
        .update();
  }
}
