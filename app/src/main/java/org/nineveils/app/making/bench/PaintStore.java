package org.nineveils.app.making.bench;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.app.base.paint.ParsedStrokes;
import org.nineveils.app.base.paint.StrokeRows;
import org.nineveils.document.Json;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What was brushed at the bench, by effect and photo. */
@Repository
class PaintStore {
  private final JdbcClient db;
  private final StrokeRows rows;

  PaintStore(JdbcClient db, ParsedStrokes parsed) {
    this.db = db;
    this.rows = StrokeRows.ofBench(db, parsed);
  }

  /** Strokes by id of effect and id of photo. */
  StrokeRows rows() {
    return rows;
  }

  /** What stands for the paint of an effect on a photo: rows of strokes never change. */
  String key(long effectId, long photoId) {
    return keys("effect_id = ?", effectId)
        .getOrDefault(effectId, Map.of())
        .getOrDefault(photoId, "");
  }

  /** The same of some effects: by effect, then by photo. */
  Map<Long, Map<Long, String>> keys(List<Long> effects) {
    return keys("effect_id in (select value from json_each(?))", Json.write(effects));
  }

  /** Which veils of some effects were painted: by effect, then by photo. */
  Map<Long, Map<Long, Set<String>>> painted(List<Long> effects) {
    Map<Long, Map<Long, Set<String>>> out = new HashMap<>();
    db.sql(
            """
            select distinct effect_id, photo_id, veil from stroke
            where effect_id in (select value from json_each(?))""")
        .param(Json.write(effects))
        .query(
            row -> {
              out.computeIfAbsent(row.getLong("effect_id"), e -> new HashMap<>())
                  .computeIfAbsent(row.getLong("photo_id"), p -> new HashSet<>())
                  .add(row.getString("veil"));
            });
    return out;
  }

  private Map<Long, Map<Long, String>> keys(String which, Object what) {
    Map<Long, Map<Long, String>> out = new HashMap<>();
    db.sql(
            """
            select effect_id, photo_id, group_concat(veil || ':' || id, ',') as ids from (
              select * from stroke where %s order by effect_id, photo_id, veil, place, id)
            group by effect_id, photo_id"""
                .formatted(which))
        .param(what)
        .query(
            row -> {
              out.computeIfAbsent(row.getLong("effect_id"), e -> new HashMap<>())
                  .put(row.getLong("photo_id"), row.getString("ids"));
            });
    return out;
  }

  /** The photos that something was brushed on for that effect. */
  List<Long> photos(long effectId) {
    return db.sql("select distinct photo_id from stroke where effect_id = ? order by photo_id")
        .param(effectId)
        .query(Long.class)
        .list();
  }

  /** The first photo that something was brushed on for that effect. */
  Optional<Long> paintedPhoto(long effectId) {
    return db.sql("select photo_id from stroke where effect_id = ? order by photo_id limit 1")
        .param(effectId)
        .query(Long.class)
        .optional();
  }
}
