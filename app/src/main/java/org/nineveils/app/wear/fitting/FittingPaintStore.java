package org.nineveils.app.wear.fitting;

import java.util.ArrayList;
import java.util.List;
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

  /** Takes away what was brushed on effects that are not among these. */
  void keepOnly(long fitting, List<String> keys) {
    String marks = String.join(", ", keys.stream().map(k -> "?").toList());
    List<Object> values = new ArrayList<>(List.of(fitting));
    values.addAll(keys);
    db.sql(
            "delete from fitting_stroke where fitting_id = ? and effect not in (%s)"
                .formatted(marks))
        .params(values)
        .update();
  }
}
