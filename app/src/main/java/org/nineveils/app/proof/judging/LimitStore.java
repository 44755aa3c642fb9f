package org.nineveils.app.proof.judging;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import org.nineveils.document.Json;
import org.nineveils.document.LimitsJson;
import org.nineveils.proof.Limits;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of limits: a kit's, and those that sections have in their place. */
@Repository
class LimitStore {
  private final JdbcClient db;

  LimitStore(JdbcClient db) {
    this.db = db;
  }

  /** Those of a kit under the empty key, of its sections under theirs. */
  Map<Optional<Long>, Limits> all(long kitId) {
    Map<Optional<Long>, Limits> out = new LinkedHashMap<>();
    db.sql("select section_id, doc from limits where kit_id = ?")
        .param(kitId)
        .query(
            row -> {
              long section = row.getLong("section_id");
              Optional<Long> of = row.wasNull() ? Optional.empty() : Optional.of(section);
              out.put(of, LimitsJson.parse(Json.read(row.getString("doc"), "The limits")));
            });
    return out;
  }

  /** Sets those of a kit, or of a section of it where one is named. */
  void put(long kitId, Optional<Long> section, Limits limits) {
    String which =
        section.isEmpty()
            ? "kit_id = :kit and section_id is null"
            : "kit_id = :kit and section_id = :section";
    String doc = Json.write(LimitsJson.format(limits));
    int changed =
        db.sql("update limits set doc = :doc where " + which)
            .param("doc", doc)
            .param("kit", kitId)
            .param("section", section.orElse(null))
            .update();
    if (changed == 0) {
      db.sql("insert into limits (kit_id, section_id, doc) values (:kit, :section, :doc)")
          .param("doc", doc)
          .param("kit", kitId)
          .param("section", section.orElse(null))
          .update();
    }
  }
}
