package org.nineveils.app.wear.fitting;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.undo.Guarded;
import org.nineveils.app.base.undo.Save;
import org.nineveils.document.FittingJson;
import org.nineveils.document.Json;
import org.nineveils.kit.Fitting;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of fittings. */
@Repository
class FittingStore {
  private static final Guarded.Shape<Fitting> SHAPE =
      new Guarded.Shape<>("The fitting", FittingJson::format, FittingJson::parse);

  private final JdbcClient db;

  FittingStore(JdbcClient db) {
    this.db = db;
  }

  Optional<FittingRow> find(long id) {
    return db.sql("select * from fitting where id = ?")
        .param(id)
        .query(FittingRow.class)
        .optional();
  }

  Optional<FittingRow> find(String wardrobe, long photoId) {
    return db.sql("select * from fitting where wardrobe = ? and photo_id = ?")
        .params(wardrobe, photoId)
        .query(FittingRow.class)
        .optional();
  }

  /** The fitting of one of these wardrobes that was changed last. */
  Optional<FittingRow> latest(List<String> wardrobes) {
    return db.sql(
            """
            select fitting.* from fitting
            left join edit_scope on edit_scope.scope = 'fitting:' || fitting.id
            where wardrobe in (select value from json_each(?))
            order by edit_scope.edit_id desc, fitting.id desc limit 1""")
        .param(Json.write(wardrobes))
        .query(FittingRow.class)
        .optional();
  }

  Map<String, Integer> worn(String sort) {
    Map<String, Integer> out = new HashMap<>();
    db.sql(
            """
            select substr(wardrobe, length(?) + 2) as name, count(*) as n from fitting
            where wardrobe like ? || ':%' and doc like '%"effect"%' group by wardrobe""")
        .params(sort, sort)
        .query(
            row -> {
              out.put(row.getString("name"), row.getInt("n"));
            });
    return out;
  }

  /** What a photo wears of one wardrobe. */
  record Elsewhere(long id, String wardrobe, int worn) {}

  /** Wardrobes but this one that its photo wears something of, the last changed first. */
  List<Elsewhere> elsewhere(FittingRow row) {
    return db.sql(
            """
            select fitting.id, wardrobe, json_array_length(doc, '$.worn') as worn from fitting
            left join edit_scope on edit_scope.scope = 'fitting:' || fitting.id
            where photo_id = ? and fitting.id <> ? and json_array_length(doc, '$.worn') > 0
            group by fitting.id order by max(edit_scope.edit_id) desc, fitting.id desc""")
        .params(row.photoId(), row.id())
        .query(Elsewhere.class)
        .list();
  }

  /** Fittings that wear something, of wardrobes of a sort, the last changed first. */
  List<FittingRow> dressed(String sort) {
    return db.sql(
            """
            select fitting.* from fitting
            left join edit_scope on edit_scope.scope = 'fitting:' || fitting.id
            where wardrobe like ? || ':%' and json_array_length(doc, '$.worn') > 0
            group by fitting.id order by max(edit_scope.edit_id) desc, fitting.id desc""")
        .param(sort)
        .query(FittingRow.class)
        .list();
  }

  void removeOf(String wardrobe) {
    db.sql("delete from fitting where wardrobe = ?").param(wardrobe).update();
  }

  void addIfMissing(String wardrobe, long photoId, String doc) {
    db.sql(
            """
            insert into fitting (wardrobe, photo_id, doc) values (?, ?, ?)
            on conflict (wardrobe, photo_id) do nothing""")
        .params(wardrobe, photoId, doc)
        .update();
  }

  /** What a save makes of the fitting; empty if something else came between. */
  Optional<Fitting> meeting(long id, Save save, Fitting fitting) {
    return Guarded.meeting(db, "fitting", id, save, fitting, SHAPE);
  }

  void store(long id, Fitting fitting) {
    Guarded.store(db, "fitting", id, Json.write(FittingJson.format(fitting)));
  }
}
