package org.nineveils.app.shop.desk;

import java.util.LinkedHashSet;
import java.util.Map;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Effects that the photographer marked, by release and path. */
@Repository
class FavouriteStore {
  private final JdbcClient db;

  FavouriteStore(JdbcClient db) {
    this.db = db;
  }

  Set<String> of(long release) {
    return new LinkedHashSet<>(
        db.sql("select path from desk_favourite where release_id = ? order by id")
            .param(release)
            .query(String.class)
            .list());
  }

  void put(long release, String path, boolean is) {
    String sql =
        is
            ? "insert or ignore into desk_favourite (release_id, path) values (?, ?)"
            : "delete from desk_favourite where release_id = ? and path = ?";
    db.sql(sql).params(release, path).update();
  }

  /** Marks in a release what is marked in the one whose place it takes, and nothing else of it. */
  void move(long from, long to, Map<String, String> paths) {
    Set<String> marked = of(from);
    paths.forEach((path, now) -> put(to, now, marked.contains(path)));
  }
}
