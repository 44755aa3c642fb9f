package org.nineveils.app.photo.photos;

import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** Sittings: photos of one occasion. A photo is in one at most; one without photos is gone. */
@Service
public class Sittings {
  /** Photos of one occasion. */
  public record Sitting(long id, String name) {}

  private final SittingStore store;
  private final PhotoService photos;
  private final Journal journal;

  Sittings(SittingStore store, PhotoService photos, Journal journal) {
    this.store = store;
    this.photos = photos;
    this.journal = journal;
  }

  /** Sittings of a side, in the order in which they began. */
  public List<Sitting> all(Side side) {
    return store.all(side);
  }

  /** Ids of sittings by photo; photos in none are left out. */
  public Map<Long, Long> of(Side side) {
    return store.of(side);
  }

  /**
   * Puts photos into the sitting of that name, which begins where there is none; an empty name
   * takes them out of theirs.
   *
   * @throws Refusal with a sentence if there is no photo, or one is of the other side
   */
  public void put(Side side, String name, List<Long> ids) {
    String clean = name.isBlank() ? "" : Names.check("A sitting", name);
    List<Photo> all = ids.stream().distinct().map(photos::get).toList();
    if (all.isEmpty()) {
      throw new Refusal("Tick the photos first.");
    }
    if (all.stream().anyMatch(p -> p.isOnWall() != (side == Side.WALL))) {
      throw new Refusal("These photos are not all of one side; nothing was changed.");
    }
    String what =
        all.size() == 1 ? all.get(0).name() : String.format(Locale.ROOT, "%d photos", all.size());
    journal.edit(
        PhotoService.scope(side),
        clean.isEmpty()
            ? "take %s out of a sitting".formatted(what)
            : "put %s into “%s”".formatted(what, clean),
        () -> {
          if (clean.isEmpty()) {
            all.forEach(p -> store.takeOut(p.id()));
          } else {
            long sitting = store.find(side, clean).orElseGet(() -> store.add(side, clean));
            all.forEach(p -> store.put(p.id(), sitting));
          }
          store.removeEmpty(side);
          return null;
        });
  }

  /**
   * Gives a sitting another name.
   *
   * @throws Refusal with a sentence if another one is called so
   */
  public void rename(Side side, long id, String name) {
    String clean = Names.check("A sitting", name);
    if (store.find(side, clean).filter(other -> other != id).isPresent()) {
      throw new Refusal("There is a sitting called “%s” already.".formatted(clean));
    }
    journal.edit(
        PhotoService.scope(side),
        "call a sitting “%s”".formatted(clean),
        () -> {
          if (!store.rename(side, id, clean)) {
            throw new NotFound("This sitting is no longer here.");
          }
          return null;
        });
  }
}
