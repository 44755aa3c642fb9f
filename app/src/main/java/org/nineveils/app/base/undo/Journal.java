package org.nineveils.app.base.undo;

import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.Supplier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.support.TransactionCallback;
import org.springframework.transaction.support.TransactionTemplate;

/**
 * Makes edits that can be taken back, also after a restart.
 *
 * <p>How: while an edit is running, triggers (see {@link JournalTriggers}) keep an image of every
 * row that changes. Taking an edit back puts the images in place, last first, while the same
 * triggers keep the images for doing it again. Edit and undo record are one transaction.
 */
@Component
public class Journal {
  private final JdbcClient db;
  private final TransactionTemplate transaction;
  private final EditStore edits;
  private final Replay replay;
  private final AskedStore asked;
  private final Clock clock;
  private final AtomicLong acts = new AtomicLong();

  Journal(JdbcClient db, TransactionTemplate transaction, Clock clock) {
    this.db = db;
    this.transaction = transaction;
    this.edits = new EditStore(db);
    this.replay = new Replay(db, edits);
    this.asked = new AskedStore(db);
    this.clock = clock;
  }

  /**
   * Runs an edit.
   *
   * @param scope what undo looks at together: “effect:7”, “kit:3” …
   * @param label what was done, for the user
   * @param work changes rows; if it throws, nothing is changed
   */
  public <T> T edit(String scope, String label, Supplier<T> work) {
    return edit(Set.of(scope), label, "", work);
  }

  /**
   * Runs an edit that several scopes know of, or that is one with the edit before.
   *
   * @param scopes where it can be taken back
   * @param gesture name of a drag or a held key: edits of one gesture with one label are one step;
   *     empty for none
   * @throws org.nineveils.app.base.fault.Conflict if the present request was done before; see
   *     {@link Asked}
   */
  public <T> T edit(Set<String> scopes, String label, String gesture, Supplier<T> work) {
    return act(
        status -> {
          asked.check();
          Optional<Edit> same =
              gesture.isEmpty() ? Optional.empty() : edits.ofGesture(scopes, label, gesture);
          long id =
              same.map(Edit::id)
                  .orElseGet(
                      () ->
                          edits.add(
                              scopes,
                              label,
                              gesture,
                              clock.instant().truncatedTo(ChronoUnit.SECONDS).toString()));
          T result = recording(id, work);
          if (!edits.settle(id)) {
            edits.remove(id); // nothing was changed, so there is nothing to take back
            return result;
          }
          asked.keep();
          if (same.isEmpty()) {
            scopes.forEach(scope -> edits.endRedo(scope, id));
            scopes.forEach(scope -> edits.prune(scope));
          }
          return result;
        });
  }

  /** Runs changes that are not to be taken back, in one transaction. */
  public <T> T quietly(Supplier<T> work) {
    return transaction.execute(status -> work.get());
  }

  /** In one transaction; whoever is answered after it finds another place. */
  private <T> T act(TransactionCallback<T> work) {
    try {
      return transaction.execute(work);
    } finally {
      acts.incrementAndGet();
    }
  }

  /** Forgets all that could be taken back: what is there now is where the maker starts. */
  public void forgetAll() {
    db.sql("delete from edit").update();
  }

  /**
   * Takes back or does again.
   *
   * @return what happened in one sentence
   * @throws Obstacle with a sentence and what can be done about it; then nothing was changed
   */
  public String step(String scope, Steps steps) {
    return act(
        status -> {
          asked.check();
          String said = stepNow(scope, steps);
          asked.keep();
          return said;
        });
  }

  private String stepNow(String scope, Steps steps) {
    boolean redo = steps.isRedo();
    Optional<Edit> found =
        steps.edit() == null
            ? edits.next(scope, redo)
            : edits.inScope(scope, steps.edit()).filter(e -> e.isDone() != redo);
    if (found.isEmpty()) {
      return steps.edit() != null
          ? "That was %s before.".formatted(redo ? "done again" : "taken back")
          : redo ? "Nothing to do again." : "Nothing to take back.";
    }
    Edit edit = found.get();
    if (steps.passes()) {
      edits.remove(edit.id());
      return "Passed over: %s. It stays as it is.".formatted(edit.label());
    }
    turnAll(edit, steps);
    return (redo ? "Done again: %s." : "Taken back: %s.").formatted(edit.label());
  }

  /** Turns an edit after those that it needs first; what one of them needs goes before that one. */
  private void turnAll(Edit edit, Steps steps) {
    List<Long> firsts = steps.firsts();
    for (int i = 0; i <= firsts.size(); i++) {
      try {
        Optional<Edit> one = i == firsts.size() ? Optional.of(edit) : edits.find(firsts.get(i));
        one.ifPresent(e -> turn(e, steps));
      } catch (Obstacle obstacle) {
        throw obstacle.among(firsts, i);
      }
    }
  }

  /** Takes an edit back, or does it again where it was taken back. */
  private void turn(Edit edit, Steps steps) {
    List<Change> changes = edits.changes(edit.id());
    replay.checkLaterEdits(edit, changes);
    edits.forgetChanges(edit.id());
    // Rows come back in an order that foreign keys need not like; they are checked at the end.
    db.sql("pragma defer_foreign_keys = on").update();
    recording(
        edit.id(),
        () -> {
          replay.run(edit, changes, steps.renames());
          return null;
        });
    int holds = replay.laterWork(edit, changes);
    if (holds > 0 && !steps.isSure()) {
      throw replay.asks(edit, holds);
    }
    edits.turned(edit.id(), edit.isDone() ? "undone" : "done", holds);
    edits.settle(edit.id());
    if (edit.isDone()) {
      replay.keepStates(edit.id());
    }
  }

  /**
   * Counts on with every edit and step since the start, also with an edit that is one with that
   * before it, so that what was read at one place is as good as long as it is the place. Never goes
   * back.
   */
  public long place() {
    return acts.get();
  }

  /** What a scope can take back and do again. */
  public Possible possible(String scope) {
    return new Possible(
        edits.next(scope, false).orElse(null),
        edits.next(scope, true).orElse(null),
        edits.aside(scope));
  }

  /**
   * What a scope can take back and do again.
   *
   * @param undo the edit that is taken back next; null for none
   * @param redo the edit that is done again next; null for none
   * @param aside what was taken back with work in it and no longer follows from “do again”
   */
  public record Possible(Edit undo, Edit redo, List<Edit> aside) {}

  /** Forgets an edit that was put aside, with the work in it. */
  public void forget(String scope, long edit) {
    transaction.executeWithoutResult(
        status ->
            edits
                .inScope(scope, edit)
                .filter(e -> e.state().equals("aside"))
                .ifPresent(e -> edits.remove(e.id())));
  }

  private <T> T recording(long id, Supplier<T> work) {
    db.sql("update current_edit set edit_id = ?").param(id).update();
    T result = work.get();
    db.sql("update current_edit set edit_id = null").update();
    return result;
  }
}
