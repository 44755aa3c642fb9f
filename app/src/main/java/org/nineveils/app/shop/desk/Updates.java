package org.nineveils.app.shop.desk;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.nineveils.app.base.fault.Conflict;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.memory.Budget;
import org.nineveils.app.base.memory.Shelf;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.photo.photos.Photo;
import org.nineveils.app.photo.photos.PhotoService;
import org.nineveils.app.photo.photos.Side;
import org.nineveils.app.photo.render.ChangeLooks;
import org.nineveils.app.photo.render.Thumbnails;
import org.nineveils.app.shop.stall.StallService;
import org.nineveils.app.wear.fitting.Moves;
import org.nineveils.app.wear.looks.OwnLookKeys;
import org.nineveils.name.Names;
import org.nineveils.refusal.Refusal;
import org.nineveils.release.since.Change;
import org.nineveils.release.since.NextVersion;
import org.nineveils.release.since.Since;
import org.springframework.stereotype.Service;

/**
 * Lets a newer release take the place of an older one, or the older one take its place again: what
 * photos wear, their paint, dials, pins and favourites go along.
 */
@Service
class Updates {
  private final DeskService desk;
  private final DeskStore store;
  private final FavouriteStore favourites;
  private final StallService stall;
  private final Moves moves;
  private final PhotoService photos;
  private final OwnLookKeys own;
  private final ChangeLooks looks;
  private final Journal journal;
  private final Shelf<String, List<Touched>> kept;

  Updates(
      DeskService desk,
      DeskStore store,
      FavouriteStore favourites,
      StallService stall,
      Moves moves,
      PhotoService photos,
      OwnLookKeys own,
      ChangeLooks looks,
      Journal journal,
      Budget budget) {
    this.desk = desk;
    this.store = store;
    this.favourites = favourites;
    this.stall = stall;
    this.moves = moves;
    this.photos = photos;
    this.own = own;
    this.looks = looks;
    this.journal = journal;
    this.kept = budget.shelf("what updates change", all -> Change.BYTES * all.size());
  }

  /**
   * A release that could take another's place.
   *
   * @param id at the desk; 0 where it waits at the stall
   */
  record Newer(long id, String version) {}

  /** The newest release of the same collection, where it is newer; of a file or at the stall. */
  Optional<Newer> newer(DeskRow row) {
    Optional<Newer> there =
        store.kept().stream()
            .filter(other -> isOfTheSame(row, other))
            .filter(other -> NextVersion.compare(other.version(), row.version()) > 0)
            .max(byVersion())
            .map(other -> new Newer(other.id(), other.version()));
    Optional<Newer> waits =
        (row.code().isEmpty() ? Optional.<String>empty() : stall.newest(row.code()))
            .filter(
                v -> NextVersion.compare(v, there.map(Newer::version).orElse(row.version())) > 0)
            .map(v -> new Newer(0, v));
    return waits.or(() -> there);
  }

  private static Comparator<DeskRow> byVersion() {
    return (a, b) -> NextVersion.compare(a.version(), b.version());
  }

  /** Fetched under one code; or of one name and signed by one key. */
  private static boolean isOfTheSame(DeskRow one, DeskRow other) {
    boolean code = !one.code().isEmpty() && one.code().equals(other.code());
    boolean named =
        Names.key(one.name()).equals(Names.key(other.name()))
            && one.signedBy().equals(other.signedBy());
    return one.id() != other.id() && (code || named);
  }

  /** The releases that this one took the place of, the highest version first. */
  List<DeskRow> before(DeskRow row) {
    return store.kept().stream()
        .filter(other -> other.replacedBy() == row.id())
        .filter(other -> NextVersion.compare(other.version(), row.version()) < 0)
        .sorted(byVersion().reversed())
        .toList();
  }

  /** An older release at the desk whose place this one could take. */
  Optional<DeskRow> older(DeskRow row) {
    return desk.all().stream()
        .filter(other -> isOfTheSame(row, other))
        .filter(other -> NextVersion.compare(other.version(), row.version()) < 0)
        .max(byVersion());
  }

  /**
   * Where one who took a release in is led: to what it changes, if an older one is at the desk;
   * until she has decided it is put aside.
   *
   * @return an address
   */
  String way(long id) {
    DeskRow row = desk.get(id);
    return older(row).map(old -> aside(old, row)).orElse("/desk/" + id);
  }

  private String aside(DeskRow old, DeskRow now) {
    journal.quietly(
        () -> {
          store.replace(now.id(), old.id());
          return null;
        });
    return String.format(Locale.ROOT, "/desk/%d/update/%d", old.id(), now.id());
  }

  /**
   * Fetches what is out under a code.
   *
   * @param sure she was asked about its signature and wants it
   * @return its id at the desk
   */
  long fetch(String code, boolean sure) {
    StallService.Handed handed = stall.fetch(code);
    return desk.take(handed.fileName(), handed.file(), handed.code(), sure);
  }

  /**
   * A change with the photos that wear what changes.
   *
   * @param photos ids; empty where none does
   */
  record Touched(Change change, List<Long> photos) {}

  /** What an update changes: first what photos wear, the rest in the release's order. */
  List<Touched> changes(DeskRow old, DeskRow now) {
    String state =
        String.format(Locale.ROOT, "%d to %d at %d", old.id(), now.id(), journal.place());
    return kept.get(state, () -> found(old, now)); // a page asks for each picture on its own
  }

  private List<Touched> found(DeskRow old, DeskRow now) {
    Map<String, List<Long>> worn = moves.wearing(old.wardrobe());
    List<Touched> out = new ArrayList<>();
    for (Change change : Since.between(desk.release(old), desk.release(now))) {
      String path = change.old() == null ? "" : change.old().key();
      out.add(new Touched(change, worn.getOrDefault(path, List.of())));
    }
    out.sort(Comparator.comparing(t -> t.photos().isEmpty()));
    return out;
  }

  private Touched change(DeskRow old, DeskRow now, int number) {
    List<Touched> all = changes(old, now);
    if (number < 0 || number >= all.size()) {
      throw new NotFound("This change is no longer one.");
    }
    return all.get(number);
  }

  /**
   * The photo that shows a change: one that wears it, or the first of the desk.
   *
   * @param wanted its id; 0 for any
   */
  private Photo showing(Touched touched, long wanted) {
    List<Photo> all = photos.all(Side.DESK);
    return all.stream()
        .filter(p -> touched.photos().isEmpty() || touched.photos().contains(p.id()))
        .filter(p -> wanted == 0 || p.id() == wanted)
        .findFirst()
        .orElseThrow(() -> new NotFound("There is no photo at the desk yet."));
  }

  /**
   * An effect before or after an update, on a photo of hers.
   *
   * @param photo its id; 0 for any that wears it
   */
  Thumbnails.Small picture(DeskRow old, DeskRow now, int number, boolean before, long photo) {
    Touched touched = change(old, now, number);
    String sha = (before ? old : now).sha();
    return looks.picture(showing(touched, photo), touched.change(), before, sha);
  }

  /** How far a change moves that photo: mean ΔE00. */
  double moved(DeskRow old, DeskRow now, int number) {
    Touched touched = change(old, now, number);
    return looks.moved(showing(touched, 0), touched.change());
  }

  /**
   * Lets a release take another's place, newer or older.
   *
   * @return a sentence that says what happened
   * @throws Refusal with a sentence if the two are not of one collection
   */
  String replace(DeskRow old, DeskRow now) {
    if (!isOfTheSame(old, now)) {
      throw new Refusal(
          "“%s” cannot take the place of “%s”: they are not of one collection."
              .formatted(now.called(), old.called()));
    }
    boolean back = NextVersion.compare(now.version(), old.version()) < 0;
    Map<String, String> paths = paths(old, now, back);
    int left =
        journal.edit(
            DeskService.SCOPE,
            back
                ? "go back to %s".formatted(now.called())
                : "update %s to %s".formatted(old.name(), now.version()),
            () -> {
              if (store.find(old.id()).filter(row -> row.replacedBy() == 0).isEmpty()) {
                throw new Conflict(
                    "“%s” is no longer what is worn at the desk: that was done before, and nothing was changed now. Load the page anew."
                        .formatted(old.called()));
              }
              int stay = moves.move(old.wardrobe(), now.wardrobe(), paths);
              own.move(old.wardrobe(), now.wardrobe(), paths);
              favourites.move(old.id(), now.id(), paths);
              store.replace(old.id(), now.id());
              return stay;
            });
    String done =
        back
            ? "“%s” is %s again.".formatted(now.name(), now.version())
            : "“%s” is %s now; dials, paint, pins and favourites are as they were."
                .formatted(now.name(), now.version());
    return left == 0
        ? done
        : String.format(
            Locale.ROOT,
            "%s %d %s worn %s before and %s so.",
            done,
            left,
            left == 1 ? "photo had" : "photos had",
            now.version(),
            "stay");
  }

  Map<String, String> paths(DeskRow old, DeskRow now, boolean back) {
    if (!back) {
      return Since.paths(desk.release(old), desk.release(now));
    }
    Map<String, String> out = new HashMap<>(); // the very way that led here
    Since.paths(desk.release(now), desk.release(old))
        .forEach((before, after) -> out.put(after, before));
    return out;
  }
}
