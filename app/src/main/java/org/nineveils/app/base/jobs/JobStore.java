package org.nineveils.app.base.jobs;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import org.nineveils.document.Json;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Rows of jobs. */
@Repository
class JobStore {
  private final JdbcClient db;

  JobStore(JdbcClient db) {
    this.db = db;
  }

  long add(String kind, String subject, String title, String request, String now) {
    return db.sql(
            """
            insert into job (kind, subject, title, request, state, made_at)
            values (?, ?, ?, ?, 'waiting', ?) returning id""")
        .params(kind, subject, title, request, now)
        .query(Long.class)
        .single();
  }

  Optional<Job> find(long id) {
    return db.sql("select * from job where id = ?").param(id).query(JobStore::job).optional();
  }

  Optional<Job> last(String kind, String subject) {
    return db.sql("select * from job where kind = ? and subject = ? order by id desc limit 1")
        .params(kind, subject)
        .query(JobStore::job)
        .optional();
  }

  List<Job> open() {
    return db.sql("select * from job where state in ('waiting', 'running') order by id")
        .query(JobStore::job)
        .list();
  }

  /** The newest first. */
  List<Job> newest(int most) {
    return db.sql("select * from job order by id desc limit ?")
        .param(most)
        .query(JobStore::job)
        .list();
  }

  void save(Job job, String endedAt) {
    db.sql(
            """
            update job set state = ?, done = ?, total = ?, faults = ?, said = ?, file = ?,
              file_name = ?, ended_at = ?, request = ? where id = ?""")
        .params(
            java.util.Arrays.asList(
                word(job.state()),
                job.done(),
                job.total(),
                Json.write(job.faults()),
                job.said(),
                job.file(),
                job.fileName(),
                endedAt,
                job.request(),
                job.id()))
        .update();
  }

  /** Keeps that a job was stopped, so that it is not taken up again. */
  void stop(long id) {
    db.sql("update job set stopped = 1 where id = ? and state in ('waiting', 'running')")
        .param(id)
        .update();
  }

  boolean isStopped(long id) {
    return db.sql("select stopped from job where id = ?").param(id).query(Boolean.class).single();
  }

  void remove(long id) {
    db.sql("delete from job where id = ?").param(id).update();
  }

  private static String word(Job.State state) {
    return state.name().toLowerCase(Locale.ROOT).replace('_', ' ');
  }

  private static Job job(ResultSet row, int n) throws SQLException {
    String state = row.getString("state").toUpperCase(Locale.ROOT).replace(' ', '_');
    List<String> faults =
        Json.read("{\"all\":" + row.getString("faults") + "}", "The job").list("all").stream()
            .map(String::valueOf)
            .toList();
    return new Job(
        row.getLong("id"),
        row.getString("kind"),
        row.getString("subject"),
        row.getString("title"),
        row.getString("request"),
        Job.State.valueOf(state),
        row.getInt("done"),
        row.getInt("total"),
        faults,
        row.getString("said"),
        row.getString("file"),
        row.getString("file_name"),
        row.getString("made_at"),
        0);
  }
}
