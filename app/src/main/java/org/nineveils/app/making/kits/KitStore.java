package org.nineveils.app.making.kits;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.nineveils.name.Names;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of kits and sections. */
@Repository
class KitStore {
  private final JdbcClient db;

  KitStore(JdbcClient db) {
    this.db = db;
  }

  List<Rows.Kit> kits() {
    return db.sql("select * from kit order by id").query(Rows.Kit.class).list();
  }

  Optional<Rows.Kit> kit(long id) {
    return db.sql("select * from kit where id = ?").param(id).query(Rows.Kit.class).optional();
  }

  /** How much is in each kit that holds anything. */
  List<Rows.Counts> counts() {
    return db.sql(
            """
            select k.id as kit_id,
              (select count(*) from section s where s.kit_id = k.id) as sections,
              (select count(*) from effect e where e.kit_id = k.id) as effects
            from kit k order by k.id""")
        .query(Rows.Counts.class)
        .list();
  }

  boolean kitNameTaken(String name, long besides) {
    return db.sql("select exists (select 1 from kit where name_key = ? and id <> ?)")
        .params(Names.key(name), besides)
        .query(Boolean.class)
        .single();
  }

  long addKit(String name, String purpose) {
    return db.sql("insert into kit (name, name_key, purpose) values (?, ?, ?) returning id")
        .params(name, Names.key(name), purpose)
        .query(Long.class)
        .single();
  }

  void changeKit(long id, String name, String purpose) {
    db.sql("update kit set name = ?, name_key = ?, purpose = ?, rev = rev + 1 where id = ?")
        .params(name, Names.key(name), purpose, id)
        .update();
  }

  void removeKit(long id) {
    db.sql("delete from kit where id = ?").param(id).update();
  }

  List<Rows.Section> sections(long kitId) {
    return db.sql("select * from section where kit_id = ? order by number")
        .param(kitId)
        .query(Rows.Section.class)
        .list();
  }

  Optional<Rows.Section> section(long id) {
    return db.sql("select * from section where id = ?")
        .param(id)
        .query(Rows.Section.class)
        .optional();
  }

  boolean sectionNameTaken(long kitId, String name, long besides) {
    return db.sql(
            "select exists (select 1 from section where kit_id = ? and name_key = ? and id <> ?)")
        .params(kitId, Names.key(name), besides)
        .query(Boolean.class)
        .single();
  }

  long addSection(long kitId, String name, String rule) {
    return db.sql(
            """
            insert into section (kit_id, number, name, name_key, rule)
            select ?, coalesce(max(number), 0) + 1, ?, ?, ? from section where kit_id = ?
            returning id""")
        .params(kitId, name, Names.key(name), rule, kitId)
        .query(Long.class)
        .single();
  }

  void changeSection(long id, String name, String rule) {
    db.sql("update section set name = ?, name_key = ?, rule = ? where id = ?")
        .params(name, Names.key(name), rule, id)
        .update();
  }

  void renumber(Rows.Section section, int number) {
    if (section.number() != number) {
      db.sql("update section set number = ? where id = ?").params(number, section.id()).update();
    }
  }

  void removeSection(long id) {
    db.sql("delete from section where id = ?").param(id).update();
  }

  void fold(long id, boolean folded) {
    String sql =
        folded
            ? "insert into section_folded (section_id) values (?) on conflict (section_id) do nothing"
            : "delete from section_folded where section_id = ?";
    db.sql(sql).param(id).update();
  }

  Set<Long> folded(long kitId) {
    return Set.copyOf(
        db.sql(
                """
                select section_id from section_folded
                where section_id in (select id from section where kit_id = ?)""")
            .param(kitId)
            .query(Long.class)
            .list());
  }
}
