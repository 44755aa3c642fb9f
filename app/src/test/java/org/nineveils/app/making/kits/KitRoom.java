package org.nineveils.app.making.kits;

import java.nio.file.Path;
import java.util.List;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.TestJournal;
import org.nineveils.app.testing.Database;

/** The room of kits on a database of its own, put together as the application does. */
final class KitRoom implements AutoCloseable {
  final Database database;
  final Journal journal;
  final KitService kits;
  final EffectService effects;
  final EffectTags tags;
  final MarkStore marks;
  final AgainstStore against;
  final OwnStore own;
  final Filing filing;
  final Shaping shaping;
  final WornRules rules;
  final Carried carried;

  KitRoom(Path folder) {
    database = new Database(folder);
    journal = TestJournal.on(database);
    var db = database.client();
    FollowStore follows = new FollowStore(db);
    EffectStore store = new EffectStore(db, follows);
    KitStore rows = new KitStore(db);
    kits = new KitService(rows, store, journal);
    effects = new EffectService(store, follows, kits, journal);
    EffectTagStore tagRows = new EffectTagStore(db);
    tags = new EffectTags(tagRows, effects, journal);
    marks = new MarkStore(db);
    against = new AgainstStore(db);
    own = new OwnStore(store, tagRows, marks);
    Copying copying = new Copying(effects, own, List.of(new SectionsAlong(marks, against)));
    filing = new Filing(store, kits, effects, copying, journal);
    ShownStore shown = new ShownStore(db);
    shaping = new Shaping(rows, store, kits, effects, follows, shown, copying, journal);
    rules = new WornRules(kits, rows, against, journal);
    carried = new Carried(rows, store, kits, effects, own, marks, against, rules, journal);
  }

  @Override
  public void close() {
    database.close();
  }
}
