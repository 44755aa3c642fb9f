package org.nineveils.app.wear.looks;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.document.Fields;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.nineveils.name.Names;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of looks. */
@Repository
class OwnLookStore {
  private final JdbcClient db;

  OwnLookStore(JdbcClient db) {
    this.db = db;
  }

  private record Row(
      long id, String name, String nameKey, String doc, long photoId, String gone, String code) {
    OwnLook look() {
      Fields titles = Json.read(gone, "The look");
      Map<String, String> byKey = new LinkedHashMap<>();
      titles.names().forEach(key -> byKey.put(key, titles.text(key)));
      return new OwnLook(
          id, name, FittingJson.parse(Json.read(doc, "The look")), photoId, byKey, code);
    }
  }

  /** By name. */
  List<OwnLook> all() {
    return db.sql("select * from own_look order by name_key").query(Row.class).list().stream()
        .map(Row::look)
        .toList();
  }

  Optional<OwnLook> find(long id) {
    return db.sql("select * from own_look where id = ?")
        .param(id)
        .query(Row.class)
        .optional()
        .map(Row::look);
  }

  /** The id of the look of that name, upper and lower case alike. */
  Optional<Long> named(String name) {
    return db.sql("select id from own_look where name_key = ?")
        .param(Names.key(name))
        .query(Long.class)
        .optional();
  }

  long count() {
    return db.sql("select count(*) from own_look").query(Long.class).single();
  }

  void add(String name, Fitting look, long photoId) {
    db.sql(
            """
            insert into own_look (name, name_key, doc, photo_id) values (?, ?, ?, ?)""")
        .params(name, Names.key(name), Json.write(FittingJson.format(look)), photoId)
        .update();
  }

  void rename(long id, String name) {
    db.sql("update own_look set name = ?, name_key = ? where id = ?")
        .params(name, Names.key(name), id)
        .update();
  }

  /** Keeps under which code a look is out. */
  void handedOut(long id, String code) {
    db.sql("update own_look set code = ? where id = ?").params(code, id).update();
  }

  /** Gives a look's effects other keys. */
  void rekey(OwnLook look) {
    db.sql("update own_look set doc = ?, gone = ? where id = ?")
        .params(Json.write(FittingJson.format(look.look())), Json.write(look.gone()), look.id())
        .update();
  }

  void remove(long id) {
    db.sql("delete from own_look where id = ?").param(id).update();
  }
}
