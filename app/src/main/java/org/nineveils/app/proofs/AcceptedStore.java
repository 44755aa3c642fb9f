package org.nineveils.app.proofs;

import java.util.List;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of what may be over its limit, and why. */
@Repository
class AcceptedStore {
  private final JdbcClient db;

  AcceptedStore(JdbcClient db) {
    this.db = db;
  }

  /**
   * What may be over.
   *
   * @param photoId null where it may be on every photo
   */
  record Accepted(long effectId, Long photoId, String measure, String reason) {}

  List<Accepted> inKit(long kitId) {
    return db.sql(
            """
            select a.effect_id, a.photo_id, a.measure, a.reason from accepted a
            join effect e on e.id = a.effect_id where e.kit_id = ? order by a.id""")
        .param(kitId)
        .query(Accepted.class)
        .list();
  }

  void put(Accepted accepted) {
    remove(accepted);
    db.sql("insert into accepted (effect_id, photo_id, measure, reason) values (?, ?, ?, ?)")
        .params(
            java.util.Arrays.asList(
                accepted.effectId(), accepted.photoId(), accepted.measure(), accepted.reason()))
        .update();
  }

  /** Takes it back, whatever its reason. */
  void remove(Accepted accepted) {
    db.sql("delete from accepted where effect_id = ? and photo_id is ? and measure = ?")
        .params(
            java.util.Arrays.asList(accepted.effectId(), accepted.photoId(), accepted.measure()))
        .update();
  }
}
