package org.nineveils.app.base.undo;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.nineveils.app.base.undo.Obstacle.Offer;
import org.nineveils.document.Json;
import org.nineveils.name.Names;
import org.springframework.jdbc.core.simple.JdbcClient;

/**
 * Puts images of rows back and checks what that needs: rows that must exist, names that are free,
 * columns that nobody changed since. What stands in the way becomes an {@link Obstacle}; the
 * transaction around it is rolled back.
 *
 * <p>Images are put into the tables as they are now: a column that is gone is left out, a column
 * that is new has its start value. So the journal outlives changes of the tables.
 */
final class Replay {
  private static final Offer PASS = new Offer("Pass over this step", "pass=true");

  private final JdbcClient db;
  private final EditStore edits;

  Replay(JdbcClient db, EditStore edits) {
    this.db = db;
    this.edits = edits;
  }

  /**
   * Nothing is put back over what another edit changed since. A step is done again on the state
   * that taking it back left: there, whatever was taken back and done again meanwhile is no
   * obstacle.
   */
  void checkLaterEdits(Edit edit, List<Change> changes) {
    for (Change change : changes) {
      boolean known = change.stays() != null;
      if (change.op().equals("update") && !(known && change.stays().equals(now(change)))) {
        edits
            .later(change, edit.id(), !known)
            .ifPresent(
                later -> {
                  throw later(edit, later);
                });
      }
    }
  }

  private static Obstacle later(Edit edit, Edit later) {
    return later.isDone()
        ? obstacle(
            edit,
            "“%s” was done there since".formatted(later.label()),
            Offer.first("Take “%s” back first".formatted(later.label()), later.id()))
        : obstacle(
            edit,
            "“%s” was taken back there since".formatted(later.label()),
            Offer.first("Do “%s” again first".formatted(later.label()), later.id()));
  }

  /** Keeps what an edit that was taken back left of each row. */
  void keepStates(long id) {
    for (Change change : edits.changes(id)) {
      if (!change.op().equals("delete")) {
        edits.stays(change.seq(), now(change));
      }
    }
  }

  /** Digest of the columns of a change as they are now; of the whole row where it came or went. */
  private String now(Change change) {
    JournalTables.Table table = JournalTables.find(change.tbl()).orElse(null);
    if (table == null) {
      return "";
    }
    Row row = new Row(db, table, change.rowKey());
    return row.digest(change.op().equals("update") ? table.group(change.cols()) : null);
  }

  /**
   * How many edits worked since in the rows that an edit, replayed, has just taken away.
   *
   * @param changes of the edit before it was replayed
   */
  int laterWork(Edit edit, List<Change> changes) {
    long last = changes.isEmpty() ? 0 : changes.get(0).seq();
    Map<String, String> known = new HashMap<>();
    for (Change change : changes) {
      if (change.op().equals("insert") && change.stays() != null) {
        known.put(change.tbl() + change.rowKey(), change.stays());
      }
    }
    Set<Long> worked = new HashSet<>();
    for (Change gone : edits.changes(edit.id())) {
      if (gone.op().equals("delete")
          && !Row.digest(raw(gone.old())).equals(known.get(gone.tbl() + gone.rowKey()))) {
        worked.addAll(edits.workedIn(gone.tbl(), gone.rowKey(), last, edit.id()));
      }
    }
    return worked.size();
  }

  /**
   * Puts everything back, the last change first. A row that was to go and went with something else
   * meanwhile is as it should be, unless that is all there was to do.
   */
  void run(Edit edit, List<Change> changes, boolean rename) {
    Set<String> tables = new LinkedHashSet<>();
    Obstacle gone = null;
    boolean done = false;
    for (Change change : changes) {
      JournalTables.Table table =
          JournalTables.find(change.tbl())
              .orElseThrow(() -> obstacle(edit, "what it changed is no longer kept"));
      Row row = new Row(db, table, change.rowKey());
      switch (change.op()) {
        case "insert" -> {
          if (row.delete() > 0) {
            done = true;
          } else {
            gone = missing(edit, table, change.rowKey());
          }
        }
        case "delete" -> {
          Map<String, Object> image = free(edit, row, image(change), rename);
          if (row.exists()) {
            throw here(edit, table, image, change.rowKey());
          }
          row.insert(image);
          done = true;
          tables.add(table.name());
        }
        default -> {
          JournalTables.Group group = table.group(change.cols());
          Map<String, Object> image = free(edit, row, image(change), rename);
          if (row.update(image, group.counted()) == 0) {
            throw missing(edit, table, change.rowKey());
          }
          done = true;
          tables.add(table.name());
        }
      }
    }
    if (gone != null && !done) {
      throw gone;
    }
    tables.forEach(table -> checkParents(edit, table));
  }

  /** The sentence by which it is asked whether later work may go with what is taken back. */
  Obstacle asks(Edit edit, int holds) {
    return new Obstacle(
        String.format(
            Locale.ROOT,
            "%s “%s” also takes away what was made in it since: %d %s. Nothing is lost: it can be brought back.",
            edit.isDone() ? "Taking back" : "Doing again",
            edit.label(),
            holds,
            holds == 1 ? "change" : "changes"),
        List.of(new Offer(edit.isDone() ? "Take it back" : "Do it again", "sure=true")));
  }

  /** The image with a free name where its own is taken, if that is wanted. */
  private Map<String, Object> free(Edit edit, Row row, Map<String, Object> image, boolean rename) {
    Optional<Row.Taken> taken = row.taken(image);
    if (taken.isEmpty()) {
      return image;
    }
    if (new Row(db, row.table(), taken.get().by()).deleteIdle()) {
      return free(edit, row, image, rename);
    }
    String name = image.get("name") instanceof String s ? s : null;
    if (name == null || !taken.get().unique().isName()) {
      throw here(edit, row.table(), image, taken.get().by());
    }
    Map<String, Object> other = image;
    for (int n = 2; row.taken(other).isPresent(); n++) {
      String numbered = Names.numbered(name, n);
      other = new LinkedHashMap<>(image);
      other.put("name", numbered);
      other.computeIfPresent("name_key", (column, old) -> Names.key(numbered));
    }
    if (rename) {
      return other;
    }
    throw obstacle(
        edit,
        "its name, “%s”, was given to another since".formatted(name),
        new Offer("Bring it back as “%s”".formatted(other.get("name")), "rename=true"));
  }

  /** Another row is where one should go; what put it there is taken back first, if it is known. */
  private Obstacle here(
      Edit edit, JournalTables.Table table, Map<String, Object> image, String rowKey) {
    Offer[] offers =
        edits
            .putting(table.name(), rowKey, edit.id())
            .map(e -> Offer.first("Take “%s” back first".formatted(e.label()), e.id()))
            .stream()
            .toArray(Offer[]::new);
    return obstacle(edit, "%s is here already".formatted(called(table, image)), offers);
  }

  private void checkParents(Edit edit, String table) {
    record Broken(String table, long rowid, String parent, long fkid) {}
    List<Broken> broken =
        db.sql("select * from pragma_foreign_key_check(?)").param(table).query(Broken.class).list();
    if (broken.isEmpty()) {
      return;
    }
    Broken one = broken.get(0);
    String column =
        db.sql("select \"from\" from pragma_foreign_key_list(?) where id = ?")
            .params(table, one.fkid())
            .query(String.class)
            .single();
    Object key =
        db.sql("select %s from %s where rowid = ?".formatted(column, table))
            .param(one.rowid())
            .query()
            .singleValue();
    JournalTables.Table parent =
        JournalTables.find(one.parent())
            .orElseThrow(() -> obstacle(edit, "what it belongs to is gone"));
    throw missing(edit, parent, "[%s]".formatted(key));
  }

  private Obstacle missing(Edit edit, JournalTables.Table table, String rowKey) {
    Optional<EditStore.Bringer> bringer = edits.bringing(table.name(), rowKey);
    String what =
        bringer.map(b -> called(table, raw(b.old()))).orElse(table.called() + " that it was about");
    List<Offer> offers = new ArrayList<>();
    bringer
        .filter(b -> b.id() != edit.id())
        .ifPresent(b -> offers.add(Offer.first(bringing(table, b, what), b.id())));
    return obstacle(edit, "%s is no longer there".formatted(what), offers.toArray(Offer[]::new));
  }

  /** What has no name of its own comes back with what it went with. */
  private static String bringing(JournalTables.Table table, EditStore.Bringer b, String what) {
    return what.equals(table.called())
        ? "Take “%s” back first".formatted(b.label())
        : "Bring %s back first".formatted(what);
  }

  private static Obstacle obstacle(Edit edit, String why, Offer... offers) {
    List<Offer> all = new ArrayList<>(List.of(offers));
    all.add(PASS);
    return new Obstacle(
        "“%s” cannot be %s: %s. Nothing was changed."
            .formatted(edit.label(), edit.isDone() ? "taken back" : "done again", why),
        all);
  }

  private static String called(JournalTables.Table table, Map<String, Object> image) {
    return image.get("name") instanceof String name
        ? "%s “%s”".formatted(table.called(), name)
        : table.called();
  }

  private static Map<String, Object> image(Change change) {
    return raw(change.old());
  }

  private static Map<String, Object> raw(String json) {
    return Json.read(json, "The journal").raw();
  }
}
