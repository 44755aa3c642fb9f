package org.nineveils.app.proof.judging;

import java.util.List;
import org.nineveils.document.Json;
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

  List<Accepted> of(List<Long> effects) {
    return db.sql(
            """
            select effect_id, photo_id, measure, reason from accepted
            where effect_id in (select value from json_each(?)) order by id""")
        .param(Json.write(effects))
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
