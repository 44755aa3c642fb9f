package org.nineveils.app.making.bench;

import java.util.Map;
import org.nineveils.app.making.kits.GoesAlong;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What was brushed on test photos goes along where an effect is copied. */
@Component
class PaintAlong implements GoesAlong {
  private final JdbcClient db;

  PaintAlong(JdbcClient db) {
    this.db = db;
  }

  @Override
  public void copied(Map<Long, Long> effects, Map<Long, Long> sections, long from, long to) {
    effects.forEach(
        (effect, copy) ->
            db.sql(
                    """
                    insert into stroke (effect_id, photo_id, veil, place, doc)
                    select ?, photo_id, veil, place, doc from stroke where effect_id = ?
                    order by id""")
                .params(copy, effect)
                .update());
  }
}
