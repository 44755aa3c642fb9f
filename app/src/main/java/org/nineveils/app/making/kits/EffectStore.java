package org.nineveils.app.making.kits;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.app.base.undo.Guarded;
import org.nineveils.app.base.undo.Save;
import org.nineveils.document.EffectJson;
import org.nineveils.document.Json;
import org.nineveils.name.Names;
import org.nineveils.veil.Effect;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of effects. */
@Repository
class EffectStore {
  private static final Guarded.Shape<Effect> SHAPE =
      new Guarded.Shape<>("The effect", EffectJson::format, EffectJson::parse);

  private final JdbcClient db;
  private final FollowStore follows;

  EffectStore(JdbcClient db, FollowStore follows) {
    this.db = db;
    this.follows = follows;
  }

  private static final String HEAD =
      "select id, kit_id, section_id, position, name, variant_of, rev, favourite from effect ";

  List<Rows.Head> inSection(long sectionId) {
    return db.sql(HEAD + "where section_id = ? order by position, id")
        .param(sectionId)
        .query(Rows.Head.class)
        .list();
  }

  /** The last place of a section that is taken; 0 where none is. */
  int last(long sectionId) {
    return inSection(sectionId).stream().mapToInt(Rows.Head::position).max().orElse(0);
  }

  /** All effects of a kit, by section and position. */
  List<Rows.Head> inKit(long kitId) {
    return db.sql(HEAD + "where kit_id = ? order by section_id, position, id")
        .param(kitId)
        .query(Rows.Head.class)
        .list();
  }

  /** Effects of a kit of which another kit has one of the same name. */
  Set<Long> named(long kitId) {
    return Set.copyOf(
        db.sql(
                """
                select e.id from effect e where e.kit_id = ? and exists (
                  select 1 from effect o where o.name_key = e.name_key and o.kit_id <> e.kit_id)""")
            .param(kitId)
            .query(Long.class)
            .list());
  }

  /** Effects of a kit that were made with an edition of the engine before that one. */
  Set<Long> before(long kitId, int edition) {
    return Set.copyOf(
        db.sql("select id from effect where kit_id = ? and json_extract(doc, '$.edition') < ?")
            .params(kitId, edition)
            .query(Long.class)
            .list());
  }

  /** The documents of all effects of a kit, by id. */
  Set<String> hung() {
    return Set.copyOf(
        db.sql(
                """
                select distinct v.value ->> '$.kind' || (v.value -> '$.settings')
                from effect e, json_each(e.doc, '$.veils') v""")
            .query(String.class)
            .list());
  }

  List<Long> ids(long kitId) {
    return db.sql("select id from effect where kit_id = ? order by id")
        .param(kitId)
        .query(Long.class)
        .list();
  }

  Map<Long, String> docs(long kitId) {
    Map<Long, String> out = new HashMap<>();
    db.sql("select id, doc from effect where kit_id = ?")
        .param(kitId)
        .query(
            row -> {
              out.put(row.getLong("id"), row.getString("doc"));
            });
    return out;
  }

  /** Of every kit one effect of each section in turn, then the second ones, up to so many. */
  List<Rows.Head> firstOfKits(int most) {
    return db.sql(
            """
            select * from (
              select e.*, row_number() over (partition by kit_id order by turn, number) as place
              from (
                select e.id, e.kit_id, e.section_id, e.position, e.name, e.variant_of, e.rev,
                  e.favourite, s.number,
                  row_number() over (partition by e.section_id order by e.position, e.id) as turn
                from effect e join section s on s.id = e.section_id) e)
            where place <= ? order by kit_id, place""")
        .param(most)
        .query(Rows.Head.class)
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
            left join edit_scope on edit_scope.scope = 'effect:' || effect.id
            order by edit_scope.edit_id desc, effect.id limit 1""")
        .query(Rows.Effect.class)
        .optional();
  }

  boolean nameTaken(long kitId, String name, long besides) {
    return db.sql(
            "select exists (select 1 from effect where kit_id = ? and name_key = ? and id <> ?)")
        .params(kitId, Names.key(name), besides)
        .query(Boolean.class)
        .single();
  }

  long add(Rows.Section section, String name, Long variantOf, String doc) {
    return db.sql(
            """
            insert into effect (kit_id, section_id, position, name, name_key, variant_of, doc)
            select ?, ?, coalesce(max(position), 0) + 1, ?, ?, ?, ? from effect where section_id = ?
            returning id""")
        .params(
            java.util.Arrays.asList(
                section.kitId(), section.id(), name, Names.key(name), variantOf, doc, section.id()))
        .query(Long.class)
        .single();
  }

  /** Files an effect; its revision counts changes of its veils alone. */
  void file(long id, Rows.Section section, int position, String name) {
    db.sql(
            """
            update effect set kit_id = ?, section_id = ?, position = ?, name = ?, name_key = ?
            where id = ?""")
        .params(section.kitId(), section.id(), position, name, Names.key(name), id)
        .update();
  }

  /** Gives an effect another place in its section. */
  void place(long id, int position) {
    db.sql("update effect set position = ? where id = ? and position <> ?")
        .params(position, id, position)
        .update();
  }

  /** What a save makes of the effect; empty if something else came between. */
  Optional<Effect> meeting(long id, Save save, Effect effect) {
    return Guarded.meeting(db, "effect", id, save, effect, SHAPE);
  }

  /**
   * The effect as it is, for a change that was made on it; empty if something else came between.
   */
  Optional<Effect> now(long id, Save on) {
    return Guarded.now(db, "effect", id, on, "The effect").map(EffectJson::parse);
  }

  /** Stores the veils and note; what follows the effect has them too. */
  void store(long id, Effect effect) {
    String doc = Json.write(EffectJson.format(effect));
    Guarded.store(db, "effect", id, doc);
    follows.followers(id).forEach(follower -> Guarded.store(db, "effect", follower, doc));
  }

  void favour(long id, boolean favourite) {
    db.sql("update effect set favourite = ? where id = ?").params(favourite, id).update();
  }

  void setOrigin(long id, long origin) {
    db.sql("update effect set variant_of = ? where id = ?").params(origin, id).update();
  }

  void remove(long id) {
    db.sql("delete from effect where id = ?").param(id).update();
  }
}
