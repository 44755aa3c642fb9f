package org.nineveils.app.proof.approved;

import java.nio.charset.StandardCharsets;
import java.util.Optional;
import org.nineveils.app.base.data.Blobs;
import org.nineveils.document.ApprovedJson;
import org.nineveils.document.Json;
import org.nineveils.proof.ApprovedSheet;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** The approved sheet of each kit that has one: a kept file, and a row that names it. */
@Repository
class ApprovedStore {
  private final JdbcClient db;
  private final Blobs blobs;

  ApprovedStore(JdbcClient db, Blobs blobs) {
    this.db = db;
    this.blobs = blobs;
  }

  /**
   * A kit's.
   *
   * @param at when it was approved
   */
  record Row(String at, String sha) {}

  Optional<Row> find(long kitId) {
    return db.sql("select at, sha from approved where kit_id = ?")
        .param(kitId)
        .query(Row.class)
        .optional();
  }

  ApprovedSheet sheet(Row row) {
    String text = new String(blobs.get(row.sha()), StandardCharsets.UTF_8);
    return ApprovedJson.parse(Json.read(text, "The approved sheet"));
  }

  /** Keeps the file of a sheet, which nothing names yet. */
  String keep(ApprovedSheet sheet) {
    String text = Json.write(ApprovedJson.format(sheet));
    return blobs.put(text.getBytes(StandardCharsets.UTF_8));
  }

  /** Lets a kit have a sheet in the place of the one it had. */
  void put(long kitId, String at, String sha, ApprovedSheet sheet) {
    String pictures = String.join(" ", sheet.pictures());
    int changed =
        db.sql("update approved set at = ?, sha = ?, pictures = ? where kit_id = ?")
            .params(at, sha, pictures, kitId)
            .update();
    if (changed == 0) {
      db.sql("insert into approved (kit_id, at, sha, pictures) values (?, ?, ?, ?)")
          .params(kitId, at, sha, pictures)
          .update();
    }
  }
}
