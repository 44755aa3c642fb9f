package org.nineveils.app.wear.fitting;

import java.util.List;
import org.nineveils.document.Json;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows that name a wardrobe, for moving what is worn of it. */
@Repository
class MoveStore {
  private final JdbcClient db;

  MoveStore(JdbcClient db) {
    this.db = db;
  }

  /** Fittings of a wardrobe, and those that wear something of it besides. */
  List<FittingRow> wearing(String wardrobe) {
    return db.sql("select * from fitting where wardrobe = ? or instr(doc, ?) > 0 order by id")
        .params(wardrobe, "\"" + wardrobe + "#")
        .query(FittingRow.class)
        .list();
  }

  void move(long fitting, String wardrobe, String doc) {
    db.sql("update fitting set wardrobe = ?, doc = ?, rev = rev + 1 where id = ?")
        .params(wardrobe, doc, fitting)
        .update();
  }

  /**
   * Gives the pins of one fitting, and what was laid by in it, to another of the same photo.
   *
   * @param taken keys of effects that the other has something of itself
   */
  void adopt(long from, long to, List<String> taken) {
    db.sql("update pin set fitting_id = ? where fitting_id = ?").params(to, from).update();
    for (String table : List.of("fitting_stroke", "laid_by")) {
      db.sql(
              """
              update %s set fitting_id = ?
              where fitting_id = ? and effect not in (select value from json_each(?))"""
                  .formatted(table))
          .params(to, from, Json.write(taken))
          .update();
    }
  }

  void remove(long fitting) {
    db.sql("delete from fitting where id = ?").param(fitting).update();
  }

  /** Keys of effects that something was brushed on in a fitting, or that something is kept of. */
  List<String> known(long fitting) {
    return db.sql(
            """
            select effect from fitting_stroke where fitting_id = ?
            union select effect from laid_by where fitting_id = ?""")
        .params(fitting, fitting)
        .query(String.class)
        .list();
  }

  void rename(long fitting, String effect, String now) {
    db.sql("update fitting_stroke set effect = ? where fitting_id = ? and effect = ?")
        .params(now, fitting, effect)
        .update();
    db.sql(
            """
            update laid_by set effect = ?, doc = json_set(doc, '$.worn[0].effect', ?)
            where fitting_id = ? and effect = ?""")
        .params(now, now, fitting, effect)
        .update();
  }

  List<PinStore.Pin> pins(long fitting) {
    return db.sql("select * from pin where fitting_id = ?")
        .param(fitting)
        .query(PinStore.Pin.class)
        .list();
  }

  void change(long pin, String doc) {
    db.sql("update pin set doc = ? where id = ?").params(doc, pin).update();
  }

  /** Lets one wardrobe take another's place wherever they are worn together with others. */
  void together(String from, String to) {
    db.sql("update or ignore together set wardrobe = ? where wardrobe = ?")
        .params(to, from)
        .update();
    db.sql("update or ignore together set other = ? where other = ?").params(to, from).update();
    db.sql("delete from together where wardrobe = ? or other = ? or wardrobe = other")
        .params(from, from)
        .update();
  }
}
