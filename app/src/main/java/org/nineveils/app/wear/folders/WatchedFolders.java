package org.nineveils.app.wear.folders;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.atomic.AtomicInteger;
import org.nineveils.app.base.fault.NotFound;
import org.nineveils.app.base.undo.Journal;
import org.nineveils.app.photo.render.Result;
import org.nineveils.document.Json;
import org.nineveils.name.NamePattern;
import org.nineveils.refusal.Refusal;
import org.springframework.stereotype.Service;

/** Folders that are watched: photos laid there get the chosen look. */
@Service
public class WatchedFolders {
  private static final int MOST = 40;
  private static final int FAULTS = 5;

  private final Folders folders;
  private final WatchStore store;
  private final Journal journal;
  private final Clock clock;
  private final AtomicInteger turns = new AtomicInteger();
  private final Map<Long, String> trouble = new ConcurrentHashMap<>();

  WatchedFolders(Folders folders, WatchStore store, Journal journal, Clock clock) {
    this.folders = folders;
    this.store = store;
    this.journal = journal;
    this.clock = clock;
  }

  /**
   * What photos of a folder get.
   *
   * @param state stack as {@link org.nineveils.document.StackJson} writes it
   * @param look name of it, for names of results
   * @param to name of the folder that results go into
   */
  public record Look(
      Map<String, Object> state, String look, String to, NamePattern names, Result how) {}

  /**
   * Watches a folder from now on; what lies there already is taken too.
   *
   * @return a sentence
   * @throws Refusal with a sentence if results would lie where photos are looked for
   */
  public String watch(String folder, Look look) {
    Path from = folders.of(folder);
    Path to = folders.of(look.to());
    checkApart(from, to);
    if (store.all().stream().anyMatch(w -> folders.isSame(folders.of(w.folder()), to))) {
      throw new Refusal(
          "“%s” is watched itself; results need another folder.".formatted(look.to()));
    }
    if (store.all().size() >= MOST) {
      throw new Refusal(String.format(Locale.ROOT, "At most %d folders are watched.", MOST));
    }
    folders.made(folder);
    folders.made(look.to());
    checkApart(from, to); // only now both are there to be compared
    String request =
        Json.write(
            look.how()
                .put(
                    Json.object(
                        "state", look.state(),
                        "look", look.look(),
                        "to", look.to(),
                        "names", look.names().text())));
    journal.quietly(() -> store.put(name(from), look.look(), request, now()));
    return "“%s” is watched: photos laid there get “%s”, results go into “%s”."
        .formatted(name(from), look.look(), name(to));
  }

  private void checkApart(Path from, Path to) {
    if (folders.isSame(from, to)) {
      throw new Refusal(
          "Results cannot go into the folder that is watched: they would be taken for photos.");
    }
  }

  private String name(Path folder) {
    return folders.root().relativize(folder).toString().replace('\\', '/');
  }

  private String now() {
    return clock.instant().truncatedTo(ChronoUnit.SECONDS).toString();
  }

  /**
   * A watched folder as pages show it.
   *
   * @param to name of the folder that results go into
   */
  record Shown(WatchRows.Watched row, String to, WatchRows.Count count, List<String> faults) {}

  /** Names of the folders that are watched. */
  public List<String> names() {
    return store.all().stream().map(WatchRows.Watched::folder).toList();
  }

  List<Shown> all() {
    return store.all().stream()
        .map(
            w ->
                new Shown(
                    w,
                    Json.read(w.request(), "The folder").text("to"),
                    store.count(w.id()),
                    faults(w.id())))
        .toList();
  }

  private List<String> faults(long id) {
    List<String> out = new ArrayList<>(store.faults(id, FAULTS));
    Optional.ofNullable(trouble.get(id)).ifPresent(said -> out.add(0, said));
    return out;
  }

  /**
   * Keeps why a folder cannot be looked into; empty where it can.
   *
   * @return whether that is news
   */
  boolean trouble(long id, String said) {
    return !said.equals(
        Objects.requireNonNullElse(
            said.isEmpty() ? trouble.remove(id) : trouble.put(id, said), ""));
  }

  WatchRows.Watched get(long id) {
    return store.find(id).orElseThrow(() -> new NotFound("This folder is no longer watched."));
  }

  /** Takes nothing more from it for now, or goes on. */
  void rest(long id, boolean rests) {
    get(id);
    quietly(() -> store.rest(id, rests));
  }

  /** Forgets what failed, so that it is found again. */
  void again(long id) {
    get(id);
    quietly(() -> store.forgetFaults(id));
  }

  /** Watches it no longer; what lies there and what was made stays. */
  void remove(long id) {
    get(id);
    quietly(() -> store.remove(id));
  }

  private void quietly(Runnable work) {
    turns.incrementAndGet();
    journal.quietly(
        () -> {
          work.run();
          return null;
        });
  }

  /**
   * A photo that waits.
   *
   * @param stamp changes with the file
   */
  record Waiting(String name, String stamp) {}

  /** Photos of a folder as the disk has them now, in the order of their names. */
  List<Waiting> there(WatchRows.Watched watched) {
    return folders.photos(watched.folder()).stream()
        .map(p -> new Waiting(p.getFileName().toString(), stamp(p)))
        .filter(w -> !w.stamp().isEmpty())
        .toList();
  }

  /** Those of which nothing was made yet. */
  List<Waiting> waiting(WatchRows.Watched watched, List<Waiting> there) {
    var known = store.known(watched.id());
    return there.stream()
        .filter(w -> !known.contains(WatchStore.key(w.name(), w.stamp())))
        .toList();
  }

  /** Counts what the user did to watched folders: all of them are to be looked into anew. */
  int turns() {
    return turns.get();
  }

  /** Empty where the file is gone again. */
  static String stamp(Path file) {
    try {
      return String.format(
          Locale.ROOT, "%d-%d", Files.size(file), Files.getLastModifiedTime(file).toMillis());
    } catch (IOException e) {
      return "";
    }
  }

  /** How many results were made of a folder's photos. */
  int made(long id) {
    return store.count(id).made();
  }

  List<WatchRows.Watched> active() {
    return store.all().stream().filter(w -> !w.rests()).toList();
  }

  Path file(WatchRows.Watched watched, String name) {
    return folders.of(watched.folder()).resolve(name);
  }

  Path results(String to) {
    return folders.made(to);
  }

  /** Keeps what became of a photo. */
  void found(long watched, Waiting photo, String result, String said) {
    quietly(
        () ->
            store.add(
                new WatchRows.Found(0, watched, photo.name(), photo.stamp(), result, said, now())));
  }
}
