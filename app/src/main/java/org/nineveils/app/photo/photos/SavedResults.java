package org.nineveils.app.photo.photos;

import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import org.nineveils.document.Json;
import org.nineveils.release.Checksums;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Remembers in which look a photo was saved last, so that pages can say whether it still is so. */
@Repository
public class SavedResults {
  private final JdbcClient db;

  SavedResults(JdbcClient db) {
    this.db = db;
  }

  /**
   * What stands for a look: effects, opacities, masks and paint.
   *
   * @param state as {@link org.nineveils.document.StackJson} writes it
   */
  public static String stamp(Map<String, Object> state) {
    return Checksums.sha256(Json.write(state).getBytes(StandardCharsets.UTF_8));
  }

  /** A file of the photo in that look is there; a photo that is gone is let be. */
  public void put(long photoId, String stamp) {
    db.sql(
            """
            insert into saved_result (stamp, photo_id) select ?, id from photo where id = ?
            on conflict (photo_id) do update set stamp = excluded.stamp""")
        .params(stamp, photoId)
        .update();
  }

  /** What stands for the look that each photo was saved in last. */
  public Map<Long, String> stamps() {
    Map<Long, String> out = new HashMap<>();
    db.sql("select photo_id, stamp from saved_result")
        .query(
            row -> {
              out.put(row.getLong("photo_id"), row.getString("stamp"));
            });
    return out;
  }
}
