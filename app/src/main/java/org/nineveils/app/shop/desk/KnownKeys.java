package org.nineveils.app.shop.desk;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Obstacle;
import org.nineveils.app.wear.fitting.Vouched;
import org.nineveils.name.Names;
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
   * Asks where a release is not signed as its maker has signed before: whoever changes a release
   * can take its signature out, or sign with another key. It is asked once: what was answered is
   * remembered.
   *
   * @param sure she was asked and wants it
   * @throws Obstacle with the question
   */
  void ask(Signed signed, String mark, String fileName, boolean sure) {
    Optional<Known> before = mark.isBlank() ? Optional.empty() : another(mark, signed.key());
    if (before.isEmpty() || isTakenAlready(signed, mark)) {
      return;
    }
    if (!sure) {
      throw new Obstacle(
          question(signed, mark, fileName, before.get()),
          List.of(new Obstacle.Offer("Take it in all the same", "sure=true")));
    }
    if (signed.key().isEmpty()) {
      String now = clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
      journal.quietly(
          () ->
              db.sql("insert or ignore into unsigned_mark (mark_key, since) values (?, ?)")
                  .params(Names.key(mark), now)
                  .update());
    }
  }

  private static String question(Signed signed, String mark, String fileName, Known before) {
    String since = before.since().substring(0, 10);
    return signed.key().isEmpty()
        ? "“%s” is not signed, but what came as “%s” before was signed with key %s. It may have been changed by somebody else: ask the maker first. Nothing was taken in."
            .formatted(fileName, mark, PublicKeys.named(before.key()))
        : "“%s” says that it is by “%s”, but it is not signed with the key that you have known since %s, %s. Somebody else may have made it: ask the maker first. Nothing was taken in."
            .formatted(fileName, mark, since, PublicKeys.named(before.key()));
  }

  /** Whether she has something of that mark already that was signed so, or unsigned as it is. */
  private boolean isTakenAlready(Signed signed, String mark) {
    return signed.key().isEmpty()
        ? isTakenUnsigned(mark)
        : find(signed.key()).filter(k -> Names.key(k.mark()).equals(Names.key(mark))).isPresent();
  }

  private boolean isTakenUnsigned(String mark) {
    return db.sql("select exists (select 1 from unsigned_mark where mark_key = ?)")
        .param(Names.key(mark))
        .query(Boolean.class)
        .single();
  }

  /**
   * What is to be said of a release's signature.
   *
   * @param sha of its file
   */
  Vouched vouched(Signed signed, String mark, String sha) {
    Optional<Known> other = mark.isBlank() ? Optional.empty() : another(mark, signed.key());
    if (signed.state() == Signed.State.CHANGED) {
      return new Vouched(
          "changed",
          "changed since it was signed",
          "Changed after it was signed with key %s.".formatted(signed.named()),
          true);
    }
    if (signed.state() == Signed.State.UNSIGNED) {
      return other
          .map(
              k ->
                  new Vouched(
                      "unsigned",
                      "not signed, unlike before",
                      "Not signed, though what came as “%s” before was signed with key %s: it may have been changed by somebody else."
                          .formatted(mark, PublicKeys.named(k.key())),
                      true))
          .orElse(
              new Vouched(
                  "unsigned", "not signed", "Not signed: nobody vouches for who made it.", false));
    }
    String by = "Signed with key %s".formatted(signed.named());
    if (other.isPresent()) {
      return new Vouched(
          "other",
          "another key than before",
          "%s. What came as “%s” before was signed with another one, %s, known since %s: ask the maker if that is right."
              .formatted(
                  by,
                  mark,
                  PublicKeys.named(other.get().key()),
                  other.get().since().substring(0, 10)),
          true);
    }
    Optional<Known> known = find(signed.key());
    if (known.isEmpty() || known.get().sha().equals(sha)) {
      return new Vouched(
          "first", "signed, first time", by + ", a key that this desk had not seen before.", false);
    }
    String since = known.get().since().substring(0, 10);
    return new Vouched(
        "known", "signed, known since " + since, "%s, known since %s.".formatted(by, since), false);
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
