package org.nineveils.app.wear.fitting;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of pins: remembered states of fittings. */
@Repository
class PinStore {
  /**
   * A remembered state.
   *
   * @param doc JSON of a {@link org.nineveils.kit.Fitting}
   */
  record Pin(long id, long fittingId, String name, String doc) {}

  private final JdbcClient db;

  PinStore(JdbcClient db) {
    this.db = db;
  }

  /** A pin without what it remembers. */
  record Name(long id, String name) {}

  /** Pins of a fitting, the oldest first. */
  List<Name> names(long fittingId) {
    return db.sql("select id, name from pin where fitting_id = ? order by id")
        .param(fittingId)
        .query(Name.class)
        .list();
  }

  /** A pin of another photo. */
  record Beside(long id, String name, long photoId) {}

  /** Pins of the other photos of a wardrobe, the newest first. */
  List<Beside> beside(FittingRow row, int most) {
    return db.sql(
            """
            select pin.id, pin.name, fitting.photo_id from pin
            join fitting on fitting.id = pin.fitting_id
            where fitting.wardrobe = ? and fitting.id <> ? order by pin.id desc limit ?""")
        .params(row.wardrobe(), row.id(), most)
        .query(Beside.class)
        .list();
  }

  /** A pin of a wardrobe, on whichever photo. */
  Optional<Pin> find(String wardrobe, long id) {
    return db.sql(
            """
            select pin.* from pin join fitting on fitting.id = pin.fitting_id
            where fitting.wardrobe = ? and pin.id = ?""")
        .params(wardrobe, id)
        .query(Pin.class)
        .optional();
  }

  void add(long fittingId, String name, String doc) {
    db.sql("insert into pin (fitting_id, name, doc) values (?, ?, ?)")
        .params(fittingId, name, doc)
        .update();
  }

  boolean rename(long fittingId, long id, String name) {
    return db.sql("update pin set name = ? where id = ? and fitting_id = ?")
            .params(name, id, fittingId)
            .update()
        == 1;
  }

  boolean remove(long fittingId, long id) {
    return db.sql("delete from pin where id = ? and fitting_id = ?").params(id, fittingId).update()
        == 1;
  }
}
