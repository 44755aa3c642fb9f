package org.nineveils.app.proof.judging;

import java.util.Map;
import org.nineveils.app.making.kits.GoesAlong;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Limits go along where a kit or its sections are copied, and what was accepted with effects. */
@Component
class JudgedAlong implements GoesAlong {
  private final JdbcClient db;

  JudgedAlong(JdbcClient db) {
    this.db = db;
  }

  @Override
  public void copied(Map<Long, Long> effects, Map<Long, Long> sections, long from, long to) {
    effects.forEach(
        (effect, copy) ->
            db.sql(
                    """
                    insert into accepted (effect_id, photo_id, measure, reason)
                    select ?, photo_id, measure, reason from accepted where effect_id = ?
                    order by id""")
                .params(copy, effect)
                .update());
    sections.forEach(
        (section, copy) ->
            db.sql(
                    """
                    insert into limits (kit_id, section_id, doc)
                    select ?, ?, doc from limits where section_id = ?""")
                .params(to, copy, section)
                .update());
    db.sql(
            """
            insert into limits (kit_id, section_id, doc)
            select ?, null, doc from limits where kit_id = ? and section_id is null""")
        .params(to, from)
        .update();
  }
}
