package org.nineveils.app.photo.regions;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.paint.ParsedStrokes;
import org.nineveils.app.base.paint.StrokeRows;
import org.nineveils.app.base.undo.Guarded;
import org.nineveils.app.base.undo.Save;
import org.nineveils.document.Json;
import org.nineveils.document.RegionsJson;
import org.nineveils.region.PhotoRegions;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of what photos hold. */
@Repository
class RegionStore {
  /** As stored. */
  record Row(long id, long photoId, String doc, int rev) {}

  private static final String TABLE = "regions";
  private static final Guarded.Shape<PhotoRegions> SHAPE =
      new Guarded.Shape<>("The regions", RegionsJson::format, RegionsJson::parse);

  private final JdbcClient db;
  private final StrokeRows strokes;

  RegionStore(JdbcClient db, ParsedStrokes parsed) {
    this.db = db;
    this.strokes = StrokeRows.ofRegions(db, parsed);
  }

  /** Strokes by id of the row and id of the photo. */
  StrokeRows strokes() {
    return strokes;
  }

  Optional<Row> find(long photoId) {
    return db.sql("select id, photo_id, doc, rev from regions where photo_id = ?")
        .param(photoId)
        .query(Row.class)
        .optional();
  }

  /**
   * What stands in a row, for lists.
   *
   * @param painted stands for the paint of the photo's regions
   */
  record Listed(long photoId, String doc, String painted) {}

  /** Those of all photos, in two looks at the database. */
  List<Listed> all() {
    Map<Long, String> painted = new HashMap<>();
    db.sql(
            """
            select regions_id, group_concat(veil || ':' || id, ',') as ids from (
              select regions_id, veil, id from region_stroke
              order by regions_id, veil, place, id)
            group by regions_id""")
        .query(
            row -> {
              painted.put(row.getLong("regions_id"), row.getString("ids"));
            });
    return db.sql("select id, photo_id, doc, rev from regions").query(Row.class).list().stream()
        .map(row -> new Listed(row.photoId(), row.doc(), painted.getOrDefault(row.id(), "")))
        .toList();
  }

  void addIfMissing(long photoId) {
    db.sql(
            """
            insert into regions (photo_id, doc) values (?, ?)
            on conflict (photo_id) do nothing""")
        .params(photoId, Json.write(RegionsJson.format(PhotoRegions.NONE)))
        .update();
  }

  /** What a save makes of a row; empty if something else came between. */
  Optional<PhotoRegions> meeting(long id, Save save, PhotoRegions regions) {
    return Guarded.meeting(db, TABLE, id, save, regions, SHAPE);
  }

  void store(long id, PhotoRegions regions) {
    Guarded.store(db, TABLE, id, Json.write(RegionsJson.format(regions)));
  }

  /** What stands for the paint of a photo's regions: rows of strokes never change. */
  String key(long id) {
    return db.sql(
            """
            select coalesce(group_concat(veil || ':' || id, ','), '') from (
              select veil, id from region_stroke where regions_id = ? order by veil, place, id)""")
        .param(id)
        .query(String.class)
        .single();
  }
}
