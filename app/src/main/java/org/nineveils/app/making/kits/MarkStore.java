package org.nineveils.app.making.kits;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import org.nineveils.kit.Mark;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of marks of effects and of sections. */
@Repository
class MarkStore {
  private final JdbcClient db;

  MarkStore(JdbcClient db) {
    this.db = db;
  }

  /** Marks of what hangs in a kit, by id of the effect or of the section. */
  Map<Long, Mark> inKit(String thing, long kitId) {
    Map<Long, Mark> out = new HashMap<>();
    db.sql(
            """
            select %1$s_id as of, mark from %1$s_mark
            where %1$s_id in (select id from %1$s where kit_id = ?)"""
                .formatted(thing))
        .param(kitId)
        .query(Marked.class)
        .list()
        .forEach(row -> Mark.ofId(row.mark()).ifPresent(mark -> out.put(row.of(), mark)));
    return out;
  }

  Optional<Mark> of(String thing, long id) {
    return db.sql("select mark from %1$s_mark where %1$s_id = ?".formatted(thing))
        .param(id)
        .query(String.class)
        .optional()
        .flatMap(Mark::ofId);
  }

  private record Marked(long of, String mark) {}

  /** Marks a thing, or takes its mark off. */
  void put(String thing, long id, Optional<Mark> mark) {
    db.sql("delete from %1$s_mark where %1$s_id = ?".formatted(thing)).param(id).update();
    mark.ifPresent(
        m ->
            db.sql("insert into %1$s_mark (%1$s_id, mark) values (?, ?)".formatted(thing))
                .params(id, m.id())
                .update());
  }
}
