package org.nineveils.app.wear.fitting;

import java.util.List;
import java.util.Optional;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.nineveils.kit.Worn;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of what effects had on photos that no longer wear them, without their paint. */
@Repository
class LaidByStore {
  private final JdbcClient db;

  LaidByStore(JdbcClient db) {
    this.db = db;
  }

  /** Keys of the effects of a fitting that something is kept of. */
  List<String> keys(long fitting) {
    return db.sql("select effect from laid_by where fitting_id = ? order by id")
        .param(fitting)
        .query(String.class)
        .list();
  }

  Optional<Worn> find(long fitting, String key) {
    return db.sql("select doc from laid_by where fitting_id = ? and effect = ?")
        .params(fitting, key)
        .query(String.class)
        .optional()
        .map(doc -> FittingJson.parse(Json.read(doc, "What was laid by")))
        .flatMap(kept -> kept.find(key));
  }

  void put(long fitting, Worn worn) {
    remove(fitting, worn.effect());
    String doc = Json.write(FittingJson.format(new Fitting(List.of(worn))));
    db.sql("insert into laid_by (fitting_id, effect, doc) values (?, ?, ?)")
        .params(fitting, worn.effect(), doc)
        .update();
  }

  void remove(long fitting, String key) {
    db.sql("delete from laid_by where fitting_id = ? and effect = ?").params(fitting, key).update();
  }
}
