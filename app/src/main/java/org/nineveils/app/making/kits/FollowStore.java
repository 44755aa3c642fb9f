package org.nineveils.app.making.kits;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of effects that follow others. */
@Repository
class FollowStore {
  private final JdbcClient db;

  FollowStore(JdbcClient db) {
    this.db = db;
  }

  /** What an effect follows, with its names. */
  record Source(long effectId, long sourceId, String name, long kitId, String kit) {}

  private static final String SOURCE =
      """
      select f.effect_id, f.source_id, e.name, k.id as kit_id, k.name as kit
      from effect_follows f join effect e on e.id = f.source_id join kit k on k.id = e.kit_id
      """;

  /** What an effect follows. */
  Optional<Source> of(long effectId) {
    return db.sql(SOURCE + "where f.effect_id = ?").param(effectId).query(Source.class).optional();
  }

  /** What the effects of a kit follow. */
  Map<Long, Source> inKit(long kitId) {
    return db
        .sql(SOURCE + "where f.effect_id in (select id from effect where kit_id = ?)")
        .param(kitId)
        .query(Source.class)
        .list()
        .stream()
        .collect(Collectors.toMap(Source::effectId, Function.identity()));
  }

  /** Effects that follow one. */
  List<Long> followers(long sourceId) {
    return db.sql("select effect_id from effect_follows where source_id = ? order by id")
        .param(sourceId)
        .query(Long.class)
        .list();
  }

  void follow(long effectId, long sourceId) {
    db.sql("insert into effect_follows (effect_id, source_id) values (?, ?)")
        .params(effectId, sourceId)
        .update();
  }

  void letGo(long effectId) {
    db.sql("delete from effect_follows where effect_id = ?").param(effectId).update();
  }
}
