package org.nineveils.app.desk;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.nineveils.app.undo.Journal;
import org.nineveils.kit.Names;
import org.nineveils.release.signing.PublicKeys;
import org.nineveils.release.signing.Signed;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Repository;

/** Keys of makers that this desk has seen, and what a signature is worth here. */
@Repository
class KnownKeys {
  private final JdbcClient db;
  private final Journal journal;
  private final Clock clock;

  KnownKeys(JdbcClient db, Journal journal, Clock clock) {
    this.db = db;
    this.journal = journal;
    this.clock = clock;
  }

  /** A key that was seen. */
  record Known(String key, String mark, String sha, String since) {}

  private Optional<Known> find(String key) {
    return db.sql("select * from known_key where key = ?").param(key).query(Known.class).optional();
  }

  /** Remembers the key of a release that was taken in, where it was never seen. */
  void see(Signed signed, String mark, String sha) {
    if (signed.state() != Signed.State.SOUND) {
      return;
    }
    String now = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
    journal.quietly(
        () ->
            db.sql("insert or ignore into known_key (key, mark, sha, since) values (?, ?, ?, ?)")
                .params(signed.key(), mark, sha, now)
                .update());
  }

  /**
   * What is to be said of a release's signature.
   *
   * @param sha of its file
   */
  String said(Signed signed, String mark, String sha) {
    if (signed.state() == Signed.State.UNSIGNED) {
      return "Not signed: nobody vouches for who made it.";
    }
    if (signed.state() == Signed.State.CHANGED) {
      return "Changed after it was signed with key %s.".formatted(signed.named());
    }
    Optional<Known> known = find(signed.key());
    String by = "Signed with key %s".formatted(signed.named());
    Optional<Known> other = another(mark, signed.key());
    if (other.isPresent()) {
      return "%s. What came as “%s” before was signed with another one, %s: ask the maker if that is right."
          .formatted(by, mark, PublicKeys.named(other.get().key()));
    }
    if (known.isEmpty() || known.get().sha().equals(sha)) {
      return by + ", a key that this desk had not seen before.";
    }
    return "%s, known since %s.".formatted(by, known.get().since().substring(0, 10));
  }

  /** A key that something of that mark was signed with earlier. */
  private Optional<Known> another(String mark, String key) {
    List<Known> all =
        db.sql("select * from known_key order by since, rowid").query(Known.class).list();
    Optional<Known> first =
        all.stream().filter(k -> Names.key(k.mark()).equals(Names.key(mark))).findFirst();
    return first.filter(k -> !k.key().equals(key));
  }
}
