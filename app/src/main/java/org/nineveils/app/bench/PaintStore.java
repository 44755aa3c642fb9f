package org.nineveils.app.bench;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.nineveils.document.Json;
import org.nineveils.document.PaintJson;
import org.nineveils.mask.Paint;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** What was brushed at the bench, by effect and photo. */
@Repository
class PaintStore {
  private final JdbcClient db;

  PaintStore(JdbcClient db) {
    this.db = db;
  }

  Map<String, Paint> find(long effectId, long photoId) {
    return db.sql("select doc from paint where effect_id = ? and photo_id = ?")
        .params(effectId, photoId)
        .query(String.class)
        .optional()
        .map(doc -> PaintJson.parse(Json.read(doc, "The paint")))
        .orElse(Map.of());
  }

  /** The photos that something was brushed on for that effect, or once was. */
  List<Long> photos(long effectId) {
    return db.sql("select photo_id from paint where effect_id = ?")
        .param(effectId)
        .query(Long.class)
        .list();
  }

  /** The first photo that something was brushed on for that effect. */
  Optional<Long> paintedPhoto(long effectId) {
    return db.sql(
            """
            select photo_id from paint where effect_id = ? and doc <> '{}'
            order by photo_id limit 1""")
        .param(effectId)
        .query(Long.class)
        .optional();
  }

  void save(long effectId, long photoId, Map<String, Paint> paint) {
    db.sql(
            """
            insert into paint (effect_id, photo_id, doc) values (?, ?, ?)
            on conflict do update set doc = excluded.doc""")
        .params(effectId, photoId, Json.write(PaintJson.format(paint)))
        .update();
  }
}
