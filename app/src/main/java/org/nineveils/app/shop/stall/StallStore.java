package org.nineveils.app.shop.stall;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of the stall. */
@Repository
class StallStore {
  private final JdbcClient db;

  StallStore(JdbcClient db) {
    this.db = db;
  }

  /** The newest first. */
  List<StallRows.Item> all() {
    return db.sql("select * from stall_item order by id desc").query(StallRows.Item.class).list();
  }

  Optional<StallRows.Item> find(String code) {
    return db.sql("select * from stall_item where code = ?")
        .param(code)
        .query(StallRows.Item.class)
        .optional();
  }

  Optional<StallRows.Item> ofCollection(long collection) {
    return db.sql("select * from stall_item where collection_id = ?")
        .param(collection)
        .query(StallRows.Item.class)
        .optional();
  }

  StallRows.Item add(String code, long collection, String name) {
    long id =
        db.sql("insert into stall_item (code, collection_id, name) values (?, ?, ?) returning id")
            .params(code, collection, name)
            .query(Long.class)
            .single();
    return new StallRows.Item(id, code, collection, name);
  }

  void rename(long item, String name) {
    db.sql("update stall_item set name = ? where id = ?").params(name, item).update();
  }

  /** In the order in which they were put out first. */
  List<StallRows.Version> versions(long item) {
    return db.sql("select * from stall_version where item_id = ? order by id")
        .param(item)
        .query(StallRows.Version.class)
        .list();
  }

  Optional<StallRows.Version> version(long id) {
    return db.sql("select * from stall_version where id = ?")
        .param(id)
        .query(StallRows.Version.class)
        .optional();
  }

  /** Puts a version out; one that was withdrawn is out again. */
  void putOut(long item, String version, String sha, String price, String now) {
    db.sql(
            """
            insert into stall_version (item_id, version, sha, price, put_out_at)
            values (?, ?, ?, ?, ?)
            on conflict (item_id, version) do update
              set price = excluded.price, withdrawn_at = ''""")
        .params(item, version, sha, price, now)
        .update();
  }

  void withdraw(long version, String now) {
    db.sql("update stall_version set withdrawn_at = ? where id = ?").params(now, version).update();
  }

  void countFetch(long version) {
    db.sql("update stall_version set fetched = fetched + 1 where id = ?").param(version).update();
  }
}
