package org.nineveils.app.order.find;

import java.util.List;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.kit.Query;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;

/** Searches that the maker keeps under a name. */
@Service
class SavedSearches {
  /** What undo on the page of the search looks at. */
  static final String SCOPE = "searches";

  private final JdbcClient db;
  private final Journal journal;

  SavedSearches(JdbcClient db, Journal journal) {
    this.db = db;
    this.journal = journal;
  }

  /** A search that is kept. */
  record Saved(long id, String name, String query) {}

  List<Saved> all() {
    return db.sql("select id, name, query from saved_search order by name_key")
        .query(Saved.class)
        .list();
  }

  /**
   * Keeps a search.
   *
   * @throws Conflict with a sentence if the name is taken
   */
  void save(String name, String query) {
    String clean = Names.check("A search", name);
    String what = Names.cut(Names.clean(query), Query.LONGEST);
    if (what.isEmpty()) {
      throw new Refusal("Look for something first; then it can be kept.");
    }
    journal.edit(
        SCOPE,
        "keep the search " + clean,
        () -> {
          if (all().stream().anyMatch(s -> Names.key(s.name()).equals(Names.key(clean)))) {
            throw Conflict.taken("a search", clean);
          }
          return db.sql("insert into saved_search (name, name_key, query) values (?, ?, ?)")
              .params(clean, Names.key(clean), what)
              .update();
        });
  }

  /** Removes a search; what is no longer there stays gone. */
  void remove(long id) {
    journal.edit(
        SCOPE,
        "remove a search",
        () -> db.sql("delete from saved_search where id = ?").param(id).update());
  }
}
