package org.nineveils.app.kits;

import java.util.List;
import java.util.Optional;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of effects. */
@Repository
class EffectStore {
  private final JdbcClient db;

  EffectStore(JdbcClient db) {
    this.db = db;
  }

  List<Rows.Effect> inSection(long sectionId) {
    return db.sql("select * from effect where section_id = ? order by position, id")
        .param(sectionId)
        .query(Rows.Effect.class)
        .list();
  }

  Optional<Rows.Effect> find(long id) {
    return db.sql("select * from effect where id = ?")
        .param(id)
        .query(Rows.Effect.class)
        .optional();
  }

  /** The effect worked on last: the one whose undo record is newest. */
  Optional<Rows.Effect> latest() {
    return db.sql(
            """
            select effect.* from effect
            left join edit on edit.scope = 'effect:' || effect.id
            order by edit.id desc, effect.id limit 1""")
        .query(Rows.Effect.class)
        .optional();
  }

  boolean nameTaken(long kitId, String name, long besides) {
    return db.sql("select exists (select 1 from effect where kit_id = ? and name = ? and id <> ?)")
        .params(kitId, name, besides)
        .query(Boolean.class)
        .single();
  }

  long add(Rows.Section section, String name, Long variantOf, String doc) {
    return db.sql(
            """
            insert into effect (kit_id, section_id, position, name, variant_of, doc)
            select ?, ?, coalesce(max(position), 0) + 1, ?, ?, ? from effect where section_id = ?
            returning id""")
        .params(
            java.util.Arrays.asList(
                section.kitId(), section.id(), name, variantOf, doc, section.id()))
        .query(Long.class)
        .single();
  }

  void file(long id, Rows.Section section, int position, String name) {
    db.sql(
            """
            update effect set kit_id = ?, section_id = ?, position = ?, name = ?, rev = rev + 1
            where id = ?""")
        .params(section.kitId(), section.id(), position, name, id)
        .update();
  }

  /** Stores the document if the effect is still at that revision. */
  boolean save(long id, int rev, String doc) {
    return db.sql("update effect set doc = ?, rev = rev + 1 where id = ? and rev = ?")
            .params(doc, id, rev)
            .update()
        == 1;
  }

  void favour(long id, boolean favourite) {
    db.sql("update effect set favourite = ? where id = ?").params(favourite, id).update();
  }

  void remove(long id) {
    db.sql("delete from effect where id = ?").param(id).update();
  }
}
