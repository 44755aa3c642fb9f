package org.nineveils.app.wear.fitting;

import org.nineveils.app.base.paint.ParsedStrokes;
import org.nineveils.app.base.paint.StrokeRows;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What was brushed in fittings, by fitting and key of the worn effect. */
@Repository
class FittingPaintStore {
  private final JdbcClient db;
  private final StrokeRows rows;

  FittingPaintStore(JdbcClient db, ParsedStrokes parsed) {
    this.db = db;
    this.rows = StrokeRows.ofFittings(db, parsed);
  }

  /** Strokes by id of fitting and key of the worn effect. */
  StrokeRows rows() {
    return rows;
  }

  /** Takes away what was brushed on an effect. */
  void remove(long fitting, String key) {
    db.sql("delete from fitting_stroke where fitting_id = ? and effect = ?")
        .params(fitting, key)
        .update();
  }
}
