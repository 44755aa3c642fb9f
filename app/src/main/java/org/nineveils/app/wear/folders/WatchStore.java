package org.nineveils.app.wear.folders;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of watched folders. */
@Repository
class WatchStore {
  private final JdbcClient db;

  WatchStore(JdbcClient db) {
    this.db = db;
  }

  List<WatchRows.Watched> all() {
    return db.sql("select * from watched_folder order by id").query(WatchRows.Watched.class).list();
  }

  Optional<WatchRows.Watched> find(long id) {
    return db.sql("select * from watched_folder where id = ?")
        .param(id)
        .query(WatchRows.Watched.class)
        .optional();
  }

  /** Watches a folder; one that is watched gets the other look from now on. */
  long put(String folder, String title, String request, String now) {
    return db.sql(
            """
            insert into watched_folder (folder, title, request, since) values (?, ?, ?, ?)
            on conflict (folder) do update
              set title = excluded.title, request = excluded.request, rests = 0
            returning id""")
        .params(folder, title, request, now)
        .query(Long.class)
        .single();
  }

  void rest(long id, boolean rests) {
    db.sql("update watched_folder set rests = ? where id = ?").params(rests, id).update();
  }

  void remove(long id) {
    db.sql("delete from watched_file where watched_id = ?").param(id).update();
    db.sql("delete from watched_folder where id = ?").param(id).update();
  }

  void forgetFaults(long watched) {
    db.sql("delete from watched_file where watched_id = ? and said <> ''").param(watched).update();
  }

  /** Name and stamp of all that was found, as {@link #key} writes them. */
  Set<String> known(long watched) {
    return new HashSet<>(
        db.sql("select name || char(10) || stamp from watched_file where watched_id = ?")
            .param(watched)
            .query(String.class)
            .list());
  }

  static String key(String name, String stamp) {
    return name + "\n" + stamp;
  }

  void add(WatchRows.Found f) {
    db.sql(
            """
            insert or ignore into watched_file (watched_id, name, stamp, result, said, made_at)
            values (?, ?, ?, ?, ?, ?)""")
        .params(f.watchedId(), f.name(), f.stamp(), f.result(), f.said(), f.madeAt())
        .update();
  }

  WatchRows.Count count(long watched) {
    return db.sql(
            """
            select coalesce(sum(said = ''), 0) as made, coalesce(sum(said <> ''), 0) as failed
            from watched_file where watched_id = ?""")
        .param(watched)
        .query(WatchRows.Count.class)
        .single();
  }

  /** The last that failed, the newest first. */
  List<String> faults(long watched, int most) {
    return db.sql(
            """
            select said from watched_file where watched_id = ? and said <> ''
            order by id desc limit ?""")
        .params(watched, most)
        .query(String.class)
        .list();
  }
}
