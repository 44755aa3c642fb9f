package org.nineveils.app.making.kits;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.nineveils.name.Names;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of tags of effects. */
@Repository
class EffectTagStore {
  private final JdbcClient db;

  EffectTagStore(JdbcClient db) {
    this.db = db;
  }

  /** A tag with the effects that have it. */
  record Count(String tag, int effects) {}

  /** Tags of a kit's effects by effect, in the order in which they were given. */
  Map<Long, List<String>> inKit(long kitId) {
    Map<Long, List<String>> out = new LinkedHashMap<>();
    db.sql(
            """
            select effect_id, tag from effect_tag
            where effect_id in (select id from effect where kit_id = ?) order by id""")
        .param(kitId)
        .query(
            row -> {
              out.computeIfAbsent(row.getLong("effect_id"), e -> new ArrayList<>())
                  .add(row.getString("tag"));
            });
    return out;
  }

  List<String> of(long effectId) {
    return db.sql("select tag from effect_tag where effect_id = ? order by id")
        .param(effectId)
        .query(String.class)
        .list();
  }

  /** All tags of all kits. */
  List<Count> all() {
    return db.sql(
            """
            select min(tag) as tag, count(*) as effects from effect_tag
            group by tag_key order by tag_key""")
        .query(Count.class)
        .list();
  }

  void add(long effectId, String tag) {
    db.sql(
            """
            insert into effect_tag (effect_id, tag, tag_key) values (?, ?, ?)
            on conflict (effect_id, tag_key) do nothing""")
        .params(effectId, tag, Names.key(tag))
        .update();
  }

  void remove(long effectId, String tag) {
    db.sql("delete from effect_tag where effect_id = ? and tag_key = ?")
        .params(effectId, Names.key(tag))
        .update();
  }
}
