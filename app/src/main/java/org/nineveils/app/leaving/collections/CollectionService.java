package org.nineveils.app.leaving.collections;

import java.util.List;
import java.util.Set;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.base.undo.Save;
import org.nineveils.app.making.kits.EffectService;
import org.nineveils.app.making.kits.KitService;
import org.nineveils.name.Names;
import org.nineveils.release.Words;
import org.springframework.stereotype.Service;

/** Collections: what they are called and which kits they hold. */
@Service
public class CollectionService {
  private final CollectionStore store;
  private final WithoutStore without;
  private final KitService kits;
  private final EffectService effects;
  private final Journal journal;

  CollectionService(
      CollectionStore store,
      WithoutStore without,
      KitService kits,
      EffectService effects,
      Journal journal) {
    this.store = store;
    this.without = without;
    this.kits = kits;
    this.effects = effects;
    this.journal = journal;
  }

  /** What undo in a collection looks at. */
  public static String scope(long id) {
    return "collection:" + id;
  }

  public List<CollectionRows.Collection> all() {
    return store.all();
  }

  public CollectionRows.Collection get(long id) {
    return store.find(id).orElseThrow(() -> new NotFound("This collection is no longer here."));
  }

  public List<Long> kitsOf(long id) {
    return store.kits(id);
  }

  /** A collection by its names. */
  public record Called(long id, String name, String version, String notes) {}

  /** All collections by their names. */
  public List<Called> named() {
    return store.all().stream()
        .map(c -> new Called(c.id(), c.name(), c.version(), c.notes()))
        .toList();
  }

  /** Starts a collection at version 1.0. */
  public long add(String name) {
    String clean = Names.check("A collection", name);
    return journal.edit(
        "collections",
        "start " + clean,
        () -> {
          checkName(clean, 0);
          return store.add(clean, "1.0");
        });
  }

  /** All of a collection that its page edits. */
  public CollectionDoc doc(long id) {
    CollectionRows.Collection c = get(id);
    return new CollectionDoc(
        c.name(),
        c.version(),
        c.licence(),
        c.notes(),
        c.mayHandOut(),
        store.kits(id),
        without.sections(id),
        without.effects(id),
        c.coverPhoto(),
        c.coverEffect());
  }

  /**
   * Changes a collection as a whole.
   *
   * @throws Conflict with a sentence if the collection was changed meanwhile
   */
  public void change(long id, Save save, CollectionDoc doc) {
    CollectionRows.Collection old = get(id);
    String line = doc.licence().strip();
    Words.LICENCE.check(line);
    Words.NOTES.check(doc.notes());
    CollectionRows.Collection next =
        new CollectionRows.Collection(
            id,
            Names.check("A collection", doc.name()),
            Names.checkVersion(doc.version()),
            line,
            doc.notes().strip(),
            old.rev(),
            doc.coverPhoto(),
            doc.coverEffect(),
            doc.mayHandOut());
    journal.edit(
        Set.of(scope(id)),
        save.label(),
        save.gesture(),
        () -> {
          checkName(next.name(), id);
          if (!save.follows(get(id).rev(), store.asked(id))) {
            throw Conflict.stale("“%s”".formatted(old.name()));
          }
          store.change(next);
          store.setKits(id, doc.kits().stream().filter(kits::holdsKit).toList());
          without.set(
              id,
              doc.withoutSections().stream().filter(kits::holdsSection).toList(),
              doc.withoutEffects().stream().filter(e -> effects.find(e).isPresent()).toList());
          return null;
        });
  }

  /** Removes a collection; kits and files that were downloaded stay as they are. */
  public void remove(long id) {
    CollectionRows.Collection old = get(id);
    journal.edit(
        "collections",
        "remove " + old.name(),
        () -> {
          store.remove(id);
          return null;
        });
  }

  private void checkName(String name, long besides) {
    if (store.nameTaken(name, besides)) {
      throw Conflict.taken("a collection", name);
    }
  }
}
